import { useEffect, useRef } from 'react';
import { useWatch } from 'react-hook-form';
import { View } from 'react-native';

import { nameParts, parseName } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/edit';
import { Txt } from '@/ui';

import { FormField, type PartProps } from './FormField';

const FIELDS = [
  ['title', texts.title],
  ['given', texts.givenNameTitle],
  ['given2', texts.middleNames],
  ['surname', texts.surname],
  ['surname2', texts.secondSurnameTitle],
  ['generation', texts.generation],
  ['credential', texts.degrees],
] as const;

/** The parts of the name one by one, how they sound, what it is sorted as. They follow the line while it is typed. */
export function NameParts({ form, at }: PartProps) {
  const [kind, line] = useWatch({ control: form.control, name: ['kind', 'name'] });
  // A name typed before these fields were shown is read now.
  const isAhead = Object.values(form.getValues('parts')).every((text) => text === '');
  const last = useRef(isAhead ? '' : line);
  useEffect(() => {
    if (last.current === line) return;
    last.current = line;
    const parsed = parseName(line);
    for (const [part] of FIELDS)
      form.setValue(`parts.${part}`, nameParts(parsed, part), { shouldDirty: true });
  }, [form, line]);
  if (kind === 'org') return null;
  return (
    <View className="gap-2" testID="name-parts">
      <Txt size="small" font="sansBold" tone="faded" heading={2}>
        {shared.partsOfName}
      </Txt>
      <View className="flex-row flex-wrap gap-x-4 gap-y-2">
        {FIELDS.map(([part, label], i) => (
          <View key={part} className="min-w-[140px] flex-1">
            <FormField
              form={form}
              name={`parts.${part}`}
              label={label}
              isFirst={i === 0 && at === 'parts'}
              testID={`part-${part}`}
            />
          </View>
        ))}
      </View>
      <View className="flex-row flex-wrap gap-x-4 gap-y-2">
        <View className="min-w-[140px] flex-1">
          <FormField
            form={form}
            name="parts.givenSound"
            label={texts.givenNameSoundsLike}
            testID="part-givenSound"
          />
        </View>
        <View className="min-w-[140px] flex-1">
          <FormField form={form} name="parts.surnameSound" label={texts.surnameSoundsLike} />
        </View>
        <View className="min-w-[140px] flex-1">
          <FormField form={form} name="parts.sortedAs" label={texts.surnameSortedAs} testID="part-sortedAs" />
        </View>
      </View>
    </View>
  );
}
