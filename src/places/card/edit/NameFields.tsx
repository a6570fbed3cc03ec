import { useWatch } from 'react-hook-form';
import { View } from 'react-native';

import { nameParts, parseName } from '@/core/card';
import { texts } from '@/texts/card/edit';
import { useWide } from '@/ui';

import { FormField, type PartProps } from './FormField';

/** Our words for the parts of a name (RFC 9553 §2.2.1). */
const PARTS = [
  ['title', 'title'],
  ['given', texts.givenName],
  ['given2', texts.middleName],
  ['surname', 'surname'],
  ['surname2', texts.secondSurname],
  ['generation', 'generation'],
  ['credential', 'degree'],
] as const;

/** The name as one line, and how it is read. */
export function NameFields({ form, isNew, at }: PartProps & { readonly isNew: boolean }) {
  const [kind, name] = useWatch({ control: form.control, name: ['kind', 'name'] });
  const { isWide } = useWide();
  const isOrg = kind === 'org';
  return (
    <View className="gap-4">
      <FormField
        form={form}
        name="name"
        label={isOrg ? texts.nameOfOrganisation : texts.name}
        hint={isOrg ? undefined : readAs(name)}
        isFirst={isNew || (at === undefined && isWide)}
        testID="field-name"
      />
    </View>
  );
}

/** How a typed name is taken apart: "given name Ada, surname Lowther". */
function readAs(line: string): string | undefined {
  const parsed = parseName(line);
  if (!parsed || (parsed.components ?? []).length < 2) return undefined;
  return PARTS.flatMap(([kind, word]) => {
    const value = nameParts(parsed, kind);
    return value === '' ? [] : [`${word} ${value}`];
  }).join(', ');
}
