import { useState } from 'react';

import { findCountryCode } from '@/core/base';
import { countryName, LOCALE } from '@/platform';
import { texts } from '@/texts/settings/settings';
import { Field } from '@/ui';

interface CountryFieldProps {
  /** ISO 3166-1 alpha-2. */
  readonly country: string;
  readonly onChange: (country: string) => void;
}

/** The country whose numbers are written without a country code. */
export function CountryField({ country, onChange }: CountryFieldProps) {
  const [text, setText] = useState(() => countryName(country));
  const code = findCountryCode(text, LOCALE);
  const change = (next: string) => {
    setText(next);
    const found = findCountryCode(next, LOCALE);
    if (found !== undefined && found !== country) onChange(found);
  };
  return (
    <Field
      label={texts.countryOfNumbersWritten}
      value={text}
      onChange={change}
      error={code === undefined ? texts.noCountryOfThisName : undefined}
      hint={texts.codeItsNumbersAreShown(code ?? '')}
      testID="country"
    />
  );
}
