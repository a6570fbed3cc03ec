import { findWhen, parseWhen } from './parseWhen';

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

const spoken: { text: string; found: [words: string, day: string] | undefined }[] = [
  {
    text: 'She will send the parts. Call again in ten days about the fee.',
    found: ['in ten days', '2026-12-05'],
  },
  { text: 'Met last week; again on Friday', found: ['on Friday', '2026-11-27'] },
  { text: 'Nothing new, may it stay so', found: undefined },
  { text: 'They moved here in 2019', found: undefined },
  { text: 'Was here yesterday', found: undefined },
];
for (const { text, found } of spoken)
  test(`a day to come in “${text}”`, () => {
    const said = findWhen(text, '2026-11-25');
    expect(said && [said.words, said.day]).toEqual(found);
  });
