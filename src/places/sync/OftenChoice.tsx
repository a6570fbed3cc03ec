import { Choice } from '@/ui';

const OFTEN = [
  ['5', 'Every five minutes'],
  ['15', 'Every quarter of an hour'],
  ['60', 'Every hour'],
  ['1440', 'Once a day'],
] as const;

interface OftenChoiceProps {
  readonly minutes: number;
  readonly onChange: (minutes: number) => void;
}

/** How often a server is visited, or a device that ships with the product comes. */
export function OftenChoice({ minutes, onChange }: OftenChoiceProps) {
  const value = String(minutes);
  const isKnown = OFTEN.some(([often]) => often === value);
  return (
    <Choice
      name="How often"
      options={isKnown ? OFTEN : [...OFTEN, [value, `Every ${value} minutes`] as const]}
      value={value}
      onChange={(often) => onChange(Number(often))}
    />
  );
}
