import { useEffect } from 'react';
import { ScrollView, View } from 'react-native';

import { formatCount, onFileDrop, pickFiles } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, NextAct, PageBar, ProgressLine, Txt, Upload, usePageTitle, useWide } from '@/ui';

import { Done } from './Done';
import { Preview } from './Preview';
import { useImport } from './useImport';

/** The kinds of files that are offered when choosing. */
const ACCEPT = '.vcf,.vcard,.json,text/vcard,text/x-vcard,application/jscontact+json';

/** Taking cards in from files: chosen, looked at, then put into the book. */
export function ImportPage() {
  const { isWide } = useWide();
  usePageTitle('Import');
  const work = useImport();
  const { state, read } = work;
  useEffect(() => onFileDrop((files) => void read(files)), [read]);
  const choose = async () => {
    const files = await pickFiles(ACCEPT);
    if (files.length > 0) await read(files);
  };
  return (
    <View className="flex-1" testID="import-page">
      {isWide ? null : <PageBar backLabel="Book" onBack={() => go('/book')} />}
      <ScrollView>
        <View className={`max-w-[720px] gap-5 pb-8 pt-4 ${isWide ? 'px-6' : 'px-5'}`}>
          <Txt font="serif" size="head" heading={1}>
            Import
          </Txt>
          {state.kind === 'idle' ? <Invitation onChoose={() => void choose()} /> : null}
          {state.kind === 'reading' ? (
            <ProgressLine
              text={`Reading ${state.name}: ${formatCount(state.cards, 'card', 'cards')}`}
              share01={state.share01}
              onStop={work.stop}
            />
          ) : null}
          {state.kind === 'preview' ? (
            <Preview preview={state} onImport={(cards) => void work.take(cards)} onDrop={work.reset} />
          ) : null}
          {state.kind === 'done' ? <Done summary={state} onMore={work.reset} /> : null}
          {state.kind === 'failed' ? (
            <View role="alert" className="gap-3">
              <Txt tone="brick">{state.message}</Txt>
              <View className="flex-row">
                <Act label="Choose another file" onPress={work.reset} />
              </View>
            </View>
          ) : null}
        </View>
      </ScrollView>
    </View>
  );
}

function Invitation({ onChoose }: { readonly onChoose: () => void }) {
  return (
    <View className="gap-4">
      <Txt font="serifItalic" size="strong" tone="faded">
        From vCard files (.vcf), as phones, mail programs and directories write them, or from JSContact files
        (.json). You see what would change before anything does.
      </Txt>
      <NextAct label="Choose files" icon={Upload} onPress={onChoose} testID="choose-files" />
      <Txt size="small" tone="faded">
        Or drop them anywhere on this page.
      </Txt>
    </View>
  );
}
