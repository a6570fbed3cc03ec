import { useController } from 'react-hook-form';

import { Tabs } from '@/ui';

import type { PartProps } from './FormField';

const KINDS = [
  ['individual', 'Person'],
  ['org', 'Organisation'],
] as const;

/** Whether the card is a person's or an organisation's. */
export function KindChoice({ form }: PartProps) {
  const { field } = useController({ control: form.control, name: 'kind' });
  return <Tabs name="Kind of card" options={KINDS} value={field.value} onChange={field.onChange} />;
}
