import { useController } from 'react-hook-form';

import { texts } from '@/texts/card/edit';
import { Tabs } from '@/ui';

import type { PartProps } from './FormField';

const KINDS = [
  ['individual', texts.person],
  ['org', texts.organisation],
] as const;

/** Whether the card is a person's or an organisation's. */
export function KindChoice({ form }: PartProps) {
  const { field } = useController({ control: form.control, name: 'kind' });
  return <Tabs name={texts.kindOfCard} options={KINDS} value={field.value} onChange={field.onChange} />;
}
