import { useState } from 'react';
import { useController, useForm } from 'react-hook-form';
import { ScrollView, View } from 'react-native';

import { type Card, type CardForm, toForm } from '@/core/card';
import { LOCALE } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/card/edit';
import { Act, ScanText, Sheet, Switch, Txt, usePageTitle, useWide } from '@/ui';

import { AddPart } from './AddPart';
import { EditorFoot } from './EditorFoot';
import type { PartProps } from './FormField';
import { formResolver } from './formResolver';
import { Glance } from './Glance';
import { KindChoice } from './KindChoice';
import { LeaveSheet } from './LeaveSheet';
import { NameFields } from './NameFields';
import { onFormKey } from './onFormKey';
import { PART_VIEWS } from './parts';
import { PhotoField } from './PhotoField';
import { SpreadBar } from './SpreadBar';
import { useLeaveGuard } from './useLeaveGuard';
import { useNameOf } from './useNameOf';
import { useSaveCard } from './useSaveCard';
import { partOf, useShownParts } from './useShownParts';
import { useSpread } from './useSpread';

interface CardEditorProps {
  /** What editing begins with. */
  readonly base: Card;
  readonly isNew: boolean;
  readonly title: string;
  /** The collection that was asked for, whose first field gets the focus. */
  readonly at: string | undefined;
  /** Begins the next new card on the same page. */
  readonly onNext?: () => void;
}

/** The values of a card as a form, in the order of its page; beside it the card as it will look. */
export function CardEditor({ base, isNew, title, at, onNext }: CardEditorProps) {
  const { isWide, hasMargin } = useWide();
  const nameOf = useNameOf();
  const [isGlancing, setGlancing] = useState(false);
  const [first] = useState(() => toForm(base, { locale: LOCALE, nameOf }));
  const form = useForm<CardForm>({
    defaultValues: first,
    resolver: formResolver,
    // Not on leaving a field: an error that appears at that moment moves what is being pressed away from the finger.
    mode: 'onSubmit',
    reValidateMode: 'onChange',
  });
  const { isDirty, isSubmitting } = form.formState;
  const guard = useLeaveGuard(isDirty || (isNew && form.getValues('name') !== ''));
  const saving = useSaveCard({ base, isNew, form, release: guard.release, onNext });
  const parts = useShownParts(first, at);
  const offer = useSpread(form);
  usePageTitle(title);
  return (
    <View className="flex-1" testID="card-editor" {...({ onKeyDownCapture: onFormKey } as object)}>
      <View className="min-h-0 flex-1 flex-row">
        <ScrollView keyboardShouldPersistTaps="handled" className="flex-1">
          <View className={`max-w-[720px] gap-4 pb-8 pt-4 ${isWide ? 'px-6' : 'px-5'}`}>
            <Txt font="serif" size="head" heading={1}>
              {title}
            </Txt>
            {isNew && !isDirty ? (
              <View className="flex-row">
                <Act
                  label={texts.readFromText}
                  icon={ScanText}
                  tone="faded"
                  onPress={() => go('/import/text')}
                  testID="read-out"
                />
              </View>
            ) : null}
            <PhotoField form={form}>
              <KindChoice form={form} at={at} />
            </PhotoField>
            <NameFields form={form} at={at} isNew={isNew} />
            {parts.shown.map((id) => {
              const Part = PART_VIEWS[id];
              return (
                <Part
                  key={id}
                  form={form}
                  at={parts.latest === id ? id : partOf(at) === id ? at : undefined}
                />
              );
            })}
            <AddPart shown={parts.shown} onAdd={parts.add} />
            <PrivateCard form={form} at={at} />
          </View>
        </ScrollView>
        {hasMargin ? (
          <ScrollView className="max-w-[380px] border-l border-rule">
            <Glance base={base} form={form} />
          </ScrollView>
        ) : null}
      </View>
      <SpreadBar offer={offer} />
      <EditorFoot
        {...saving}
        isDirty={isDirty}
        isSubmitting={isSubmitting}
        canGoOn={onNext !== undefined}
        {...(hasMargin ? {} : { onGlance: () => setGlancing(true) })}
      />
      {isGlancing ? (
        <Sheet title={texts.preview} isOpen onClose={() => setGlancing(false)}>
          <Glance base={base} form={form} />
        </Sheet>
      ) : null}
      <LeaveSheet isOpen={guard.isAsking} onStay={guard.stay} onLeave={guard.leave} onSave={saving.save} />
    </View>
  );
}

/** A private card never leaves this browser except in a backup. */
function PrivateCard({ form }: PartProps) {
  const { field } = useController({ control: form.control, name: 'isPrivate' });
  return (
    <Switch
      label={texts.privateCard}
      hint={texts.notSynchronisedToDevices}
      isOn={field.value}
      onChange={field.onChange}
      testID="private-card"
    />
  );
}
