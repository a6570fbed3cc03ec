import { useState } from 'react';
import { View } from 'react-native';

import { useAppDispatch } from '@/book/state';
import { emptyDraft, saveDraft, useMailDraft } from '@/book/write';
import { fieldWords } from '@/core/write';
import { go, goBack } from '@/platform/navigation';
import { texts } from '@/texts/write/write';
import { Act, Archive, Field, FileText, OverPage, Printer, Switch, Txt, useLoaded, usePageTitle } from '@/ui';

import { AttachPart } from './AttachPart';
import { DraftsSheet } from './DraftsSheet';
import { OutPart, type WriteWork } from './OutPart';
import { RecipientsPart } from './RecipientsPart';
import { TemplatesSheet } from './TemplatesSheet';
import { ToField } from './ToField';

interface WriteProps {
  /** Loads what greets people in their own languages, and what of a card others get. */
  readonly loadWords: () => Promise<WriteWork>;
}

/** One message to people and lists: lists open into their people, of whom each can be moved or taken off. */
export function WritePage({ loadWords }: WriteProps) {
  usePageTitle(texts.write);
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState<'templates' | 'drafts'>();
  const close = () => setOpen(undefined);
  const words = useLoaded(loadWords);
  const now = useMailDraft();
  const { draft, set } = now;
  return (
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
          <Field
            label={texts.subject}
            value={draft.subject}
            onChange={(subject) => set({ subject })}
            testID="mail-subject"
          />
          <Field
            label={texts.text}
            value={draft.body}
            onChange={(body) => set({ body })}
            isLong
            testID="mail-body"
          />
          <Txt size="small" tone="faded">
            {texts.textInBracesIsFilledInFromEach(fieldWords.map((word) => `{${word}}`).join(', '))}
          </Txt>
          <Switch
            label={texts.messageToEach}
            hint={texts.insteadOfOneToAll}
            isOn={draft.isEach}
            onChange={(isEach) => set({ isEach })}
            testID="mail-each"
          />
          <AttachPart draft={draft} set={set} />
          <OutPart now={now} work={words} />
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
}
