import fc from 'fast-check';

import { highlightMatches } from './highlightMatches';

const shown = (text: string, query: string) =>
  highlightMatches(text, query)
    .map((part) => (part.isMarked ? `[${part.text}]` : part.text))
    .join('');

const cases = [
  { text: 'Ada Lowther', query: 'low a', marked: '[A]da [Low]ther' },
  { text: 'Åsa Öberg', query: 'ober asa', marked: '[Åsa] [Öber]g' },
  { text: 'Straßburg', query: 'strass', marked: '[Straß]burg' },
  { text: '+44 1632 960001', query: '9600', marked: '+44 1632 [9600]01' },
  { text: '横浜弦楽社', query: '弦楽', marked: '横浜[弦楽]社' },
  { text: 'Bellows & Brine', query: 'rine', marked: 'Bellows & Brine' },
  { text: 'Ada', query: '', marked: 'Ada' },
];
for (const { text, query, marked } of cases)
  test(`"${query}" marks ${marked}`, () => expect(shown(text, query)).toBe(marked));

test('the pieces of any text give the text again', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), fc.string(), (text, query) => {
      expect(
        highlightMatches(text, query)
          .map((part) => part.text)
          .join(''),
      ).toBe(text);
    }),
  );
});
