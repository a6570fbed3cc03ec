import { findCountryCode } from './countryCodes';

// ISO 3166-1 alpha-2; names by CLDR.
const cases: readonly { name: string; locale?: string; code: string | undefined }[] = [
  { name: 'Germany', code: 'DE' },
  { name: 'deutschland', locale: 'de', code: 'DE' },
  { name: 'Serbia', code: 'RS' },
  { name: 'Russland', locale: 'de', code: 'RU' },
  { name: 'fr', code: 'FR' },
  { name: 'UK', code: 'GB' },
  { name: 'Kosovo', code: 'XK' },
  // A code that is out of use is none.
  { name: 'DD', code: undefined },
  { name: 'Atlantis', code: undefined },
  { name: ' ', code: undefined },
];
for (const { name, locale, code } of cases)
  test(`${name} is ${code ?? 'no country'}`, () => expect(findCountryCode(name, locale)).toBe(code));
