import { useForm } from 'react-hook-form';
import { ScrollView, View } from 'react-native';

import type { Card } from '@/core/card';
import { type CardForm, toForm } from '@/core/editing';
import { LOCALE } from '@/platform';
import { Act, NextAct, Txt, usePageTitle, useWide } from '@/ui';

import { AddressRows } from './AddressRows';
import { formResolver } from './formResolver';
import { KindChoice } from './KindChoice';
import { LeaveSheet } from './LeaveSheet';
import { DateRows, LinkRows, MailRows, NoteRows, PhoneRows } from './ListRows';
import { NameFields } from './NameFields';
import { useLeaveGuard } from './useLeaveGuard';
import { useSaveCard } from './useSaveCard';

interface CardEditorProps {
  /** What editing begins with. */
  readonly base: Card;
  readonly isNew: boolean;
  readonly title: string;
  /** The collection that was asked for, whose first field gets the focus. */
  readonly at: string | undefined;
}

/** The values of a card as a form, in the order of its page. */
export function CardEditor({ base, isNew, title, at }: CardEditorProps) {
  const { isWide } = useWide();
  const form = useForm<CardForm>({
    defaultValues: toForm(base, LOCALE),
    resolver: formResolver,
    // Not on leaving a field: an error that appears then moves what is just being pressed away from the finger.
    mode: 'onSubmit',
    reValidateMode: 'onChange',
  });
  const { isDirty, isSubmitting } = form.formState;
  const guard = useLeaveGuard(isDirty || (isNew && form.getValues('name') !== ''));
  const { save, close } = useSaveCard({ base, isNew, form, release: guard.release });
  const part = { form, at };
  usePageTitle(title);
  return (
    <View className="flex-1" testID="card-editor">
      <ScrollView keyboardShouldPersistTaps="handled">
        <View className={`max-w-[720px] gap-6 pb-8 pt-4 ${isWide ? 'px-6' : 'px-5'}`}>
          <Txt font="serif" size="head" heading={1}>
            {title}
          </Txt>
          <KindChoice {...part} />
          <NameFields {...part} isNew={isNew} />
          <PhoneRows {...part} />
          <MailRows {...part} />
          <AddressRows {...part} />
          <LinkRows {...part} />
          <DateRows {...part} />
          <NoteRows {...part} />
        </View>
      </ScrollView>
      <View
        className={`flex-row items-center gap-4 border-t border-rule bg-paper py-2 ${isWide ? 'px-6' : 'px-5'}`}
      >
        <View className={isWide ? 'w-[200px]' : 'flex-1'}>
          <NextAct label="Save" onPress={save} isDisabled={isSubmitting} testID="save-card" />
        </View>
        <Act label={isDirty ? 'Discard' : 'Close'} tone="faded" onPress={close} testID="close-editor" />
      </View>
      <LeaveSheet isOpen={guard.isAsking} onStay={guard.stay} onLeave={guard.leave} onSave={save} />
    </View>
  );
}
