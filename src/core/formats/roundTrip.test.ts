// The law of every format: reading what was written gives the same cards. Formats are tested by being listed.
import fc from 'fast-check';

import { encodeUtf8, isSameJson } from '@/core/base';
import type { Card } from '@/core/card';

import { arbitraryCard } from '../../../test/unit/arbitraryCard';
import type { ReadableFormat } from './format/format';
import { findFormat, FORMATS } from './registry';

const LOSSLESS = FORMATS.filter(
  (format): format is ReadableFormat => format.isLossless && format.read !== undefined,
);
test('there are formats to test', () => expect(LOSSLESS.length).toBeGreaterThanOrEqual(4));

for (const format of LOSSLESS) {
  test(`${format.label}: any card written and read again is the same card`, () => {
    fc.assert(
      fc.property(fc.array(arbitraryCard, { minLength: 1, maxLength: 2 }), (cards) => {
        const bytes = encodeUtf8(format.write(cards));
        const { cards: back, problems } = format.read(bytes);
        expect(problems).toEqual([]);
        if (!isSameJson(back, cards)) expect(back).toEqual(cards);
        expect(findFormat(bytes)?.id).toBe(format.id);
      }),
      { numRuns: 120, endOnFailure: true },
    );
  });

  test(`${format.label}: a tag may be named like a part of JavaScript's objects`, () => {
    const keywords = JSON.parse('{"__proto__":true,"constructor":true}') as Record<string, true>;
    const card: Card = { '@type': 'Card', version: '1.0', uid: 'a', name: { full: 'Ada' }, keywords };
    const [back] = format.read(encodeUtf8(format.write([card]))).cards;
    expect(Object.keys(back?.keywords ?? {}).sort()).toEqual(['__proto__', 'constructor']);
  });

  test(`${format.label}: no card gives no card`, () => {
    expect(format.read(encodeUtf8(format.write([]))).cards).toEqual([]);
  });

  test(`${format.label}: cut and mutated files never throw, and cards that are read are valid`, () => {
    fc.assert(
      fc.property(arbitraryCard, fc.nat(), fc.nat(), fc.nat(255), (card, at, cut, byte) => {
        const bytes = encodeUtf8(format.write([card, card]));
        const hurt = bytes.slice(0, bytes.length - (cut % 40));
        hurt[at % hurt.length] = byte;
        const { cards } = format.read(hurt);
        for (const one of cards) expect(typeof one.uid).toBe('string');
      }),
      { numRuns: 100, endOnFailure: true },
    );
  });
}

test('a file of no known format is recognised as such', () => {
  expect(findFormat(encodeUtf8('Dear Ada,\nyour piano is tuned.'))).toBeUndefined();
});
