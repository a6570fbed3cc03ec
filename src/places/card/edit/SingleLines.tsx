import { useWatch } from 'react-hook-form';

import { timeIn } from '@/platform';

import { FormField, type PartProps } from './FormField';

/** Nicknames, with commas between. */
export function NicknameLine({ form, at }: PartProps) {
  const kind = useWatch({ control: form.control, name: 'kind' });
  return (
    <FormField
      form={form}
      name="nickname"
      label={kind === 'org' ? 'Also called' : 'Nickname'}
      isFirst={at === 'nicknames' || at === 'nickname'}
      testID="field-nickname"
    />
  );
}

/** How to speak of somebody. */
export function PronounsLine({ form, at }: PartProps) {
  return (
    <FormField
      form={form}
      name="pronouns"
      label="Pronouns"
      placeholder="she/her"
      isFirst={at === 'pronouns'}
      testID="field-pronouns"
    />
  );
}

/** Languages they like to be spoken to in. */
export function LanguagesLine({ form, at }: PartProps) {
  return (
    <FormField
      form={form}
      name="languages"
      label="Languages, the preferred one first"
      placeholder="Norwegian, German"
      isFirst={at === 'preferredLanguages' || at === 'languages'}
      testID="field-languages"
    />
  );
}

/** Where their clock is; the time it is there now is said under it. */
export function TimeZoneLine({ form, at }: PartProps) {
  const zone = useWatch({ control: form.control, name: 'timeZone' });
  const now = timeIn(zone.trim());
  return (
    <FormField
      form={form}
      name="timeZone"
      label="Time zone"
      placeholder="Europe/Oslo"
      hint={now === undefined ? undefined : `It is ${now} there now`}
      isFirst={at === 'timeZone'}
      testID="field-timeZone"
    />
  );
}

/** Tags, separated by commas. */
export function TagsLine({ form, at }: PartProps) {
  return (
    <FormField
      form={form}
      name="tags"
      label="Tags, separated by commas"
      isFirst={at === 'keywords' || at === 'tags'}
      testID="field-tags"
    />
  );
}
