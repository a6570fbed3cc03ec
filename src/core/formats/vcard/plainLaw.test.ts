// What a vCard without extensions has kept of a card, it keeps for good: written and read once more it is the same, so that nothing
// is written in one place and read from another.
import fc from 'fast-check';

import { encodeUtf8, isObject, strictWords } from '@/core/base';
import { type Card, carriersOf, type Entry, UNITED, type United } from '@/core/card';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { getFormat } from '../registry';

function through(id: 'vcard3' | 'vcard4', card: Card): Card {
  const format = getFormat(id);
  if (!format || !('read' in format)) throw new Error('vCards are read and written');
  const { read } = format as { read: (bytes: Uint8Array) => { cards: Card[]; problems: unknown[] } };
  const { cards, problems } = read(encodeUtf8(format.write([card], { extensions: false })));
  expect(problems).toEqual([]);
  return cards[0] as Card;
}

test.each(['vcard3', 'vcard4'] as const)('%s keeps for good what it has kept', (id) => {
  fc.assert(
    fc.property(arbitraryCard, (card) => {
      const once = through(id, card);
      expect(through(id, once)).toEqual(once);
    }),
    { numRuns: 150 },
  );
});

/** The words of what the entries of a collection say. */
function wordsOf(collection: United, card: Card): Set<string> {
  const entries = Object.values((card[collection] ?? {}) as Readonly<Record<string, Entry>>);
  const said = entries.flatMap((entry) => carriersOf(collection).flatMap((key) => textsIn(entry[key])));
  return new Set(said.flatMap((text) => strictWords(text)));
}

function textsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  if (Array.isArray(value)) return value.flatMap(textsIn);
  return isObject(value) ? textsIn(value['value']) : [];
}

test.each(['vcard3', 'vcard4'] as const)('%s gives no word back in a place where it was not', (id) => {
  fc.assert(
    fc.property(arbitraryCard, (card) => {
      // In a LABEL parameter it is a new line, by RFC 6350's own example, whatever was meant.
      fc.pre(!JSON.stringify(card.addresses ?? {}).match(/\\\\n/i));
      const back = through(id, card);
      for (const collection of UNITED) {
        const was = wordsOf(collection, card);
        const moved = [...wordsOf(collection, back)].filter((word) => !was.has(word));
        expect([collection, moved]).toEqual([collection, []]);
      }
    }),
    { numRuns: 150 },
  );
});
