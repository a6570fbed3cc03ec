import { type ReactNode, useState } from 'react';
import { useController, useWatch } from 'react-hook-form';
import { Pressable, View } from 'react-native';

import { texts } from '@/texts/card/edit';
import { ChevronDown, Choice, Field, NextAct, Sheet, Switch, Txt, useColours } from '@/ui';

import type { PartProps } from './FormField';

/** The rows that have a label. */
type LabelledRows =
  'phones' | 'emails' | 'accounts' | 'links' | 'addresses' | 'dates' | 'infos' | 'relations' | 'ownFields';

interface LabelActProps extends Pick<PartProps, 'form'> {
  readonly name: `${LabelledRows}.${number}`;
  readonly noun: string;
  readonly choices: readonly string[];
  /** It stands before its field, in a column of its own. */
  readonly isColumn?: boolean;
  /** What else is said of the value here. */
  readonly children?: ReactNode;
}

/** What kind a value is: chosen from the usual words or typed, in a sheet that also says which one is preferred. */
export function LabelAct({ form, name, noun, choices, isColumn = false, children }: LabelActProps) {
  const [isOpen, setOpen] = useState(false);
  const { field } = useController({ control: form.control, name: `${name}.label` });
  const isPreferred = useWatch({
    control: form.control,
    name: `${name}.isPreferred` as 'phones.0.isPreferred',
  });
  const isPost = useWatch({ control: form.control, name: `${name}.isPost` as 'addresses.0.isPost' });
  const isPrivate = useWatch({ control: form.control, name: `${name}.isPrivate` as 'phones.0.isPrivate' });
  const label = field.value;
  const close = () => setOpen(false);
  const choose = (chosen: string) => {
    field.onChange(chosen);
    close();
  };
  const shown = [
    label || texts.noLabel,
    isPreferred ? 'preferred' : '',
    isPost ? 'post' : '',
    isPrivate ? 'private' : '',
  ]
    .filter(Boolean)
    .join(', ');
  const canPrefer = isPreferred !== undefined;
  return (
    <View className={isColumn ? 'w-[88px] shrink-0' : 'flex-row'}>
      <LabelPress
        label={shown}
        name={texts.labelOf(noun, shown)}
        onPress={() => setOpen(true)}
        testID={`label-${name}`}
      />
      <Sheet title={texts.labelOfNamed(noun)} isOpen={isOpen} onClose={close}>
        <Choice
          name={texts.usualLabels}
          options={choices.map((word) => [word, word] as const)}
          value={choices.includes(label) ? label : undefined}
          onChange={choose}
        />
        <View className="gap-4 pt-4">
          <Field label={texts.orLabelOfYourOwn} value={label} onChange={field.onChange} testID="own-label" />
          {children}
          {canPrefer ? (
            <OnlySwitch
              form={form}
              name={name}
              property="isPreferred"
              label={texts.preferred}
              hint={texts.usedFirstWhenCalling}
            />
          ) : null}
          {isPrivate === undefined ? null : <PrivateSwitch form={form} name={name} />}
          <NextAct label={texts.done} onPress={close} testID="label-done" />
        </View>
      </Sheet>
    </View>
  );
}

interface LabelPressProps {
  readonly label: string;
  readonly name: string;
  readonly onPress: () => void;
  readonly testID: string;
}

/** The label as it stands before its field: small and quiet, on two lines where it is long. */
function LabelPress({ label, name, onPress, testID }: LabelPressProps) {
  const { faded } = useColours();
  return (
    <Pressable
      role="button"
      aria-label={name}
      aria-haspopup="dialog"
      onPress={onPress}
      testID={testID}
      className="min-h-[44px] flex-row items-center gap-1 active:opacity-60"
    >
      <View className="min-w-0 flex-1">
        <Txt size="small" tone="faded" lines={2}>
          {label}
        </Txt>
      </View>
      <ChevronDown size={16} strokeWidth={1.75} color={faded} />
    </Pressable>
  );
}

interface OnlySwitchProps extends Pick<LabelActProps, 'form' | 'name'> {
  readonly property: 'isPreferred' | 'isPost';
  readonly label: string;
  readonly hint: string;
}

/** A switch that only one entry of a collection can have on: the preferred one, the one letters go to. */
export function OnlySwitch({ form, name, property, label, hint }: OnlySwitchProps) {
  const [collection, index] = name.split('.') as ['phones', string];
  const rows = useWatch({ control: form.control, name: collection });
  // The paths of one collection stand for those of all.
  const path = property as 'isPreferred';
  const isOn = rows[Number(index)]?.[path] ?? false;
  const set = (isIt: boolean) => {
    rows.forEach((_, i) => {
      form.setValue(`${collection}.${i}.${path}`, isIt && i === Number(index), { shouldDirty: true });
    });
  };
  return <Switch label={label} hint={hint} isOn={isOn} onChange={set} />;
}

/** A private value never leaves this browser except in a backup. */
function PrivateSwitch({ form, name }: Pick<LabelActProps, 'form' | 'name'>) {
  const { field } = useController({
    control: form.control,
    name: `${name}.isPrivate` as 'phones.0.isPrivate',
  });
  return (
    <Switch
      label={texts.private}
      hint={texts.neverSentNeverSynchronised}
      isOn={field.value}
      onChange={field.onChange}
    />
  );
}
