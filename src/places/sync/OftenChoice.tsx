import { texts } from '@/texts/sync/sync';
import { Choice } from '@/ui';

const OFTEN = [
  ['5', texts.everyFiveMinutes],
  ['15', texts.everyQuarterOfHour],
  ['60', texts.everyHour],
  ['1440', texts.onceDay],
] as const;

interface OftenChoiceProps {
  readonly minutes: number;
  readonly onChange: (minutes: number) => void;
}

/** How often a server is visited, or a simulated device syncs. */
export function OftenChoice({ minutes, onChange }: OftenChoiceProps) {
  const value = String(minutes);
  const isKnown = OFTEN.some(([often]) => often === value);
  return (
    <Choice
      name={texts.howOften}
      options={isKnown ? OFTEN : [...OFTEN, [value, texts.everyMinutes(value)] as const]}
      value={value}
      onChange={(often) => onChange(Number(often))}
    />
  );
}
