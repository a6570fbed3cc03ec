import { View } from 'react-native';

import { emptyDraft, useMailDraft } from '@/book';
import { goBack } from '@/platform/navigation';
import { Act, Field, OverPage, Switch, Trash, Txt, usePageTitle } from '@/ui';

import { OutPart } from './OutPart';
import { RecipientsPart } from './RecipientsPart';
import { ToField } from './ToField';

/** One message to people and lists: lists open into their people, of whom each can be moved or taken off. */
export function WritePage() {
  usePageTitle('Write');
  const now = useMailDraft();
  const { draft, set } = now;
  return (
    <OverPage
      title="Write"
      backLabel="Back"
      onBack={() => goBack('/book')}
      className="max-w-[720px] gap-4"
      testID="write-page"
    >
      {draft === undefined ? null : (
        <>
          <ToField draft={draft} set={set} />
          <RecipientsPart now={now} />
          <Field
            label="Subject"
            value={draft.subject}
            onChange={(subject) => set({ subject })}
            testID="mail-subject"
          />
          <Field
            label="Text"
            value={draft.body}
            onChange={(body) => set({ body })}
            isLong
            testID="mail-body"
          />
          <Txt size="small" tone="faded">
            In braces stands what is on each card: {'{given}'}, {'{surname}'}, {'{name}'}, {'{title}'},{' '}
            {'{organisation}'}, {'{post}'}, {'{town}'}; {'{given|friends}'} says what else to write.
          </Txt>
          <Switch
            label="A message to each"
            hint="Instead of one to all; needed where the text has something in braces"
            isOn={draft.isEach}
            onChange={(isEach) => set({ isEach })}
            testID="mail-each"
          />
          <OutPart now={now} />
          <View className="flex-row">
            <Act
              label="Begin anew"
              icon={Trash}
              tone="faded"
              onPress={() => set(emptyDraft)}
              testID="mail-anew"
            />
          </View>
        </>
      )}
    </OverPage>
  );
}
