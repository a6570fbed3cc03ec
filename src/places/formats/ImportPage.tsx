import { useEffect } from 'react';
import { View } from 'react-native';

import { onFileDrop, onPaste, pickFiles } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/formats/formats';
import { Act, OverPage, ProgressLine, Txt, usePageTitle } from '@/ui';

import { Done } from './Done';
import { Invitation } from './Invitation';
import { Mapping } from './Mapping';
import { Preview } from './Preview';
import { useImport } from './useImport';

/** The kinds of files that are offered when choosing. */
const ACCEPT =
  '.vcf,.vcard,.json,.jcard,.csv,.tsv,.txt,.zip,text/vcard,text/x-vcard,text/csv,application/jscontact+json,application/vcard+json,application/zip';

/** Importing cards from files or pasted text: chosen, previewed, then added to the book. */
export function ImportPage() {
  usePageTitle(texts.import);
  const work = useImport();
  const { state, read } = work;
  const isIdle = state.kind === 'idle';
  useEffect(() => onFileDrop((files) => void read(files)), [read]);
  useEffect(() => (isIdle ? onPaste((file) => void read([file])) : undefined), [isIdle, read]);
  const choose = async () => {
    const files = await pickFiles(ACCEPT);
    if (files.length > 0) await read(files);
  };
  return (
    <OverPage
      title={texts.import}
      backLabel={texts.book}
      onBack={() => go('/book')}
      className="max-w-[720px] gap-5"
      testID="import-page"
    >
      {state.kind === 'idle' ? (
        <>
          <Invitation onChoose={() => void choose()} onText={(file) => void read([file])} />
          {work.last ? (
            <View className="border-t border-rule pt-3">
              <Txt tone="faded">{texts.lastImportCardsFrom(work.last.taken, work.last.source)}</Txt>
              <View className="flex-row">
                <Act label={texts.seeWhatItDid} onPress={work.showLast} testID="show-last-import" />
              </View>
            </View>
          ) : null}
        </>
      ) : null}
      {state.kind === 'reading' ? (
        <ProgressLine
          text={texts.readingCards(state.name, state.cards)}
          share01={state.share01}
          onStop={work.stop}
        />
      ) : null}
      {state.kind === 'mapping' ? (
        <Mapping
          mapping={state}
          onColumn={work.setColumn}
          onConfirm={() => void work.confirmColumns()}
          onDrop={work.reset}
        />
      ) : null}
      {state.kind === 'preview' ? (
        <Preview
          preview={state}
          onImport={(cards, isReplacing) => void work.take(cards, isReplacing)}
          onDrop={work.reset}
        />
      ) : null}
      {state.kind === 'taking' ? (
        <ProgressLine
          text={texts.importingCardsStopUndoes(state.cards)}
          share01={state.share01}
          onStop={work.stop}
        />
      ) : null}
      {state.kind === 'done' ? <Done summary={state} onMore={work.reset} /> : null}
      {state.kind === 'failed' ? (
        <View role="alert" className="gap-3">
          <Txt tone="brick">{state.message}</Txt>
          <View className="flex-row">
            <Act label={texts.chooseAnotherFile} onPress={work.reset} />
          </View>
        </View>
      ) : null}
    </OverPage>
  );
}
