import { useState } from 'react';
import { ScrollView, View } from 'react-native';

import { useAppDispatch } from '@/book/state';
import { emptyDraft, saveDraft, useMailDraft } from '@/book/write';
import { fieldsIn } from '@/core/write';
import { go, goBack } from '@/platform/navigation';
import { texts } from '@/texts/write/write';
import {
  Act,
  Archive,
  FileText,
  OverPage,
  Printer,
  Switch,
  Txt,
  useLoaded,
  usePageTitle,
  useWide,
} from '@/ui';

import { AttachPart } from './AttachPart';
import { DraftsSheet } from './DraftsSheet';
import { OutPart } from './OutPart';
import { PieceField } from './PieceField';
import { Previews } from './Previews';
import { RecipientsPart } from './RecipientsPart';
import { TemplatesSheet } from './TemplatesSheet';
import { ToField } from './ToField';
import { useOut, type WriteWork } from './useOut';

interface WriteProps {
  /** Loads what greets people in their own languages, and what of a card others get. */
  readonly loadWords: () => Promise<WriteWork>;
}

/** One message to people and lists: lists open into their people, of whom each can be moved or taken off. */
export function WritePage({ loadWords }: WriteProps) {
  usePageTitle(texts.write);
  const dispatch = useAppDispatch();
  const { hasMargin } = useWide();
  const [open, setOpen] = useState<'templates' | 'drafts'>();
  const close = () => setOpen(undefined);
  const words = useLoaded(loadWords);
  const now = useMailDraft();
  const { draft, set } = now;
  const out = useOut(now, words);
  const { labels } = out;
  // What comes from each card can only go to each.
  const put = (some: { readonly subject?: string; readonly body?: string }) =>
    set(fieldsIn(Object.values(some).join(), { labels }).length > 0 ? { ...some, isEach: true } : some);
  const page = (
    <OverPage
      title={texts.write}
      backLabel={texts.back}
      onBack={() => goBack('/book')}
      className="max-w-[720px] gap-4"
      testID="write-page"
    >
      {draft === undefined ? null : (
        <>
          <ToField draft={draft} set={set} />
          <RecipientsPart now={now} />
          <PieceField
            label={texts.subject}
            value={draft.subject}
            onChange={(subject) => put({ subject })}
            labels={labels}
            testID="mail-subject"
          />
          <PieceField
            label={texts.text}
            value={draft.body}
            onChange={(body) => put({ body })}
            labels={labels}
            isLong
            testID="mail-body"
          />
          <Switch
            label={texts.messageToEach}
            hint={texts.insteadOfOneToAll}
            isOn={draft.isEach}
            onChange={(isEach) => set({ isEach })}
            testID="mail-each"
          />
          <AttachPart draft={draft} set={set} />
          {hasMargin || !draft.isEach ? null : <Previews {...out} />}
          <OutPart now={now} work={words} out={out} />
          <View className="flex-row flex-wrap gap-x-6">
            <Act
              label={texts.templates}
              icon={FileText}
              onPress={() => setOpen('templates')}
              testID="open-templates"
            />
            <Act
              label={texts.byLetterInstead}
              icon={Printer}
              onPress={() => go('/write?by=letter')}
              testID="to-letters"
            />
            <Act label={texts.drafts} tone="faded" onPress={() => setOpen('drafts')} testID="open-drafts" />
            <Act
              label={texts.startOver}
              name={texts.saveThisMessageAsDraft}
              icon={Archive}
              tone="faded"
              onPress={() => {
                dispatch(saveDraft(draft));
                set(emptyDraft);
              }}
              testID="mail-anew"
            />
          </View>
          {open === 'templates' ? <TemplatesSheet draft={draft} set={set} onClose={close} /> : null}
          {open === 'drafts' ? <DraftsSheet draft={draft} set={set} onClose={close} /> : null}
        </>
      )}
    </OverPage>
  );
  if (!hasMargin) return page;
  // The text, and beside it what the chosen one of them gets; the text stays where it is, so that the caret does.
  return (
    <View className="flex-1 flex-row">
      <View className="min-w-0 max-w-[760px] flex-[3]">{page}</View>
      {draft?.isEach === true ? (
        <ScrollView className="flex-[2] border-l border-rule">
          <View className="max-w-[560px] px-6 py-5">
            <Txt font="serif" size="title" heading={2}>
              {texts.whatEachGets}
            </Txt>
            <Previews {...out} />
          </View>
        </ScrollView>
      ) : null}
    </View>
  );
}
