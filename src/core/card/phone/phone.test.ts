// libphonenumber's own example numbers; +44 20 7946 0xxx is Ofcom's range for drama.
import { getExampleNumber } from 'libphonenumber-js';
import examples from 'libphonenumber-js/examples.mobile.json';

import { dialUri, formatPhone } from './formatPhone';
import { parsePhone } from './parsePhone';

const countries = [
  'GB',
  'DE',
  'FR',
  'IT',
  'JP',
  'CN',
  'US',
  'BR',
  'PL',
  'NL',
  'SE',
  'IN',
  'ZA',
  'KR',
] as const;
for (const country of countries) {
  test(`the example number of ${country} is read the same however it is written`, () => {
    const example = getExampleNumber(country, examples);
    expect(example).toBeDefined();
    const e164 = example?.number ?? '';
    for (const written of [e164, example?.formatInternational() ?? '', `00${e164.slice(1)}`, `tel:${e164}`]) {
      expect(parsePhone(written)?.e164).toBe(e164);
    }
    expect(parsePhone(example?.formatNational() ?? '', country)).toMatchObject({
      e164,
      country,
      isValid: true,
    });
    expect(formatPhone(e164, country)).toBe(example?.formatNational());
  });
}

test('a number from elsewhere is shown internationally', () => {
  expect(formatPhone('+442079460958', 'DE')).toBe('+44 20 7946 0958');
  expect(formatPhone('020 7946 0958', 'GB')).toBe('020 7946 0958');
});

test('what is no number stays as it was written, and dials what digits it has', () => {
  expect(parsePhone('ask Ada')).toBeUndefined();
  expect(formatPhone('ask Ada')).toBe('ask Ada');
  expect(dialUri('12-34')).toBe('tel:1234');
});

test('RFC 3966: an extension goes along', () => {
  expect(dialUri('tel:+1-418-656-9254;ext=102')).toBe('tel:+14186569254;ext=102');
});

test('a number of another country without its code keeps its zeros', () => {
  expect(formatPhone('08-465 004 59', 'GB')).toBe('08-465 004 59');
  expect(dialUri('08-465 004 59', 'GB')).toBe('tel:0846500459');
  expect(formatPhone('2079460958', 'GB')).toBe('020 7946 0958');
  expect(dialUri('1 415 555 0100', 'US')).toBe('tel:+14155550100');
});
