import { useState } from 'react';

import { findCountryCode } from '@/core/base';
import { LOCALE } from '@/platform';
import { Field } from '@/ui';

interface CountryFieldProps {
  /** ISO 3166-1 alpha-2. */
  readonly country: string;
  readonly onChange: (country: string) => void;
}

/** The country whose numbers are written without a country code. */
export function CountryField({ country, onChange }: CountryFieldProps) {
  const [text, setText] = useState(
    () => new Intl.DisplayNames(LOCALE, { type: 'region' }).of(country) ?? country,
  );
  const code = findCountryCode(text, LOCALE);
  const change = (next: string) => {
    setText(next);
    const found = findCountryCode(next, LOCALE);
    if (found !== undefined && found !== country) onChange(found);
  };
  return (
    <Field
      label="Country of numbers written without a country code"
      value={text}
      onChange={change}
      error={
        code === undefined
          ? 'No country of this name is known; its code of two letters does as well'
          : undefined
      }
      hint={`Code ${code ?? ''}; its numbers are shown as at home`}
      testID="country"
    />
  );
}
