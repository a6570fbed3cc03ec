import { encodeUtf8 } from '@/core/base';

import { readVcard } from './readVcard';

const cases = [
  {
    name: 'one bad line costs that line only',
    lines: ['BEGIN:VCARD', 'VERSION:3.0', 'FN:Ada', 'this is no property', 'TEL:1', 'END:VCARD'],
    names: ['Ada'],
    problems: [{ code: 'not-a-property', line: 4, text: 'this is no property' }],
  },
  {
    name: 'a missing END costs nothing',
    lines: ['BEGIN:VCARD', 'FN:Ada', 'BEGIN:VCARD', 'FN:Bo', 'END:VCARD'],
    names: ['Ada', 'Bo'],
    problems: [{ code: 'missing-end', line: 1 }],
  },
  {
    name: 'a missing END at the end of the file costs nothing',
    lines: ['BEGIN:VCARD', 'FN:Ada'],
    names: ['Ada'],
    problems: [{ code: 'missing-end', line: 1 }],
  },
  {
    name: 'text around the cards is reported',
    lines: ['Hello', 'BEGIN:VCARD', 'FN:Ada', 'END:VCARD', 'Bye'],
    names: ['Ada'],
    problems: [
      { code: 'outside-card', line: 1, text: 'Hello' },
      { code: 'outside-card', line: 5, text: 'Bye' },
    ],
  },
  {
    name: 'an empty card between good ones is reported with its text',
    lines: [
      'BEGIN:VCARD',
      'FN:Ada',
      'END:VCARD',
      'BEGIN:VCARD',
      'VERSION:3.0',
      'N:;;;;',
      'END:VCARD',
      'BEGIN:VCARD',
      'FN:Bo',
      'END:VCARD',
    ],
    names: ['Ada', 'Bo'],
    problems: [{ code: 'empty-card', line: 4, text: 'BEGIN:VCARD\nVERSION:3.0\nN:;;;;' }],
  },
  {
    name: 'a JSPROP that would reach the prototype is refused',
    lines: ['BEGIN:VCARD', 'FN:Ada', 'JSPROP;JSPTR="__proto__/x":1', 'END:VCARD'],
    names: ['Ada'],
    problems: [{ code: 'unreadable-value', line: 3 }],
  },
  {
    name: 'a JSPROP that would spoil the card is refused',
    lines: ['BEGIN:VCARD', 'FN:Ada', 'JSPROP;JSPTR="phones":[1]', 'END:VCARD'],
    names: ['Ada'],
    problems: [{ code: 'unreadable-value', line: 3 }],
  },
  {
    name: 'a missing FN is made up from N',
    lines: ['BEGIN:VCARD', 'N:Doe;Jane', 'END:VCARD'],
    names: ['Jane Doe'],
    problems: [],
  },
];
for (const { name, lines, names, problems } of cases) {
  test(name, () => {
    const result = readVcard(encodeUtf8(lines.join('\n')));
    const shown = result.cards.map(
      (card) => card.name?.full ?? card.name?.components?.map((c) => c.value).join(' '),
    );
    expect(shown).toEqual(names);
    expect(result.problems).toEqual(problems.map((problem) => expect.objectContaining(problem) as unknown));
  });
}

test('a card without UID gets the same one each time, other text another', () => {
  const read = (text: string) => readVcard(encodeUtf8(`BEGIN:VCARD\nFN:${text}\nEND:VCARD`)).cards[0]?.uid;
  expect(read('Ada')).toMatch(
    /^urn:uuid:[0-9a-f]{8}-[0-9a-f]{4}-8[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
  );
  expect(read('Ada')).toBe(read('Ada'));
  const many = new Set(Array.from({ length: 5000 }, (_, i) => read(`Ada ${i}`)));
  expect(many.size).toBe(5000);
});
