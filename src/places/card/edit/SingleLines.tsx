import { useWatch } from 'react-hook-form';

import { timeIn } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/edit';

import { FormField, type PartProps } from './FormField';

/** Nicknames, with commas between. */
export function NicknameLine({ form, at }: PartProps) {
  const kind = useWatch({ control: form.control, name: 'kind' });
  return (
    <FormField
      form={form}
      name="nickname"
      label={kind === 'org' ? texts.alsoCalled : texts.nickname}
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
      label={texts.pronouns}
      placeholder={texts.sheHer}
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
      label={texts.languagesPreferredOneFirst}
      placeholder={texts.norwegianGerman}
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
      label={shared.timeZone}
      placeholder={texts.europeOslo}
      hint={now === undefined ? undefined : texts.itIsThereNow(now)}
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
      label={texts.tagsSeparatedByCommas}
      isFirst={at === 'keywords' || at === 'tags'}
      testID="field-tags"
    />
  );
}
