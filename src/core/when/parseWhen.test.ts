import { parseWhen } from '.';

// 2026-11-25 is a Wednesday. What the words mean is common practice.
const today = '2026-11-25';
const cases: [string, string | undefined][] = [
  ['today', '2026-11-25'],
  ['tomorrow', '2026-11-26'],
  ['in ten days', '2026-12-05'],
  ['in a fortnight', '2026-12-09'],
  ['on Friday', '2026-11-27'],
  ['next month', '2026-12-25'],
  ['first week of March', '2027-03-01'],
  ['end of January', '2027-01-31'],
  ['3 March', '2027-03-03'],
  ['12.1.', '2027-01-12'],
  ['30 November', '2026-11-30'],
  ['2027-02-14', '2027-02-14'],
  ['2020-02-14', undefined],
  ['yesterday', undefined],
  ['soon, I hope', undefined],
  ['', undefined],
];
for (const [text, day] of cases) {
  test(`"${text}" is ${day ?? 'no day to come'}`, () => expect(parseWhen(text, today, 'en-GB')).toBe(day));
}
