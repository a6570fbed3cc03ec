import { texts } from '@/texts/card/talk';
import { Field } from '@/ui';

interface WhenFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  /** The day that the text gives, ISO 8601; undefined where it gives none. */
  readonly day: string | undefined;
  readonly placeholder?: string;
  /** How a day can be said, for the error. */
  readonly example?: string;
  readonly testID: string;
}

/** A day to come in words; under it the day that they give, or how to say one. */
export function WhenField({
  value,
  day,
  placeholder = texts.inTenDaysFirst,
  example = texts.inTenDaysOr3,
  ...field
}: WhenFieldProps) {
  const isWrong = value.trim() !== '' && day === undefined;
  return (
    <Field
      {...field}
      value={value}
      placeholder={placeholder}
      hint={day}
      error={isWrong ? texts.enterFutureDaySuch(example) : undefined}
    />
  );
}
