// What is written is read the same by ical.js, whose vCard parser is not ours; and its lines obey the standard.
import fc from 'fast-check';
import ICAL from 'ical.js';

import { encodeUtf8 } from '@/core/base';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { vcard3, vcard4 } from './vcardFormats';

for (const format of [vcard3, vcard4]) {
  test(`${format.label}: ical.js finds the same FN, TEL and EMAIL values`, () => {
    fc.assert(
      fc.property(arbitraryCard, (card) => {
        const parsed = new ICAL.Component(
          ICAL.parse(format.write([card], { extensions: false })) as unknown[],
        );
        const values = (name: string) =>
          parsed.getAllProperties(name).map((property) => String(property.getFirstValue()));
        expect(values('email')).toEqual(Object.values(card.emails ?? {}).map(({ address }) => address));
        // ical.js takes TEL of 3.0 for a type without escapes (RFC 2426 §4 has it as text), so only plain ones.
        const numbers = Object.values(card.phones ?? {}).map(({ number }) => number);
        if (!numbers.some((number) => /[\\,\n]/.test(number))) expect(values('tel')).toEqual(numbers);
        expect(values('fn')).toHaveLength(1);
        if (card.name?.full !== undefined) expect(values('fn')).toEqual([card.name.full]);
      }),
      { numRuns: 120, endOnFailure: true },
    );
  });

  test(`${format.label}: no line is longer than 75 octets, and none is cut inside a character (RFC 6350 §3.2)`, () => {
    fc.assert(
      fc.property(arbitraryCard, (card) => {
        const text = format.write([card]);
        expect(text).not.toMatch(/[^\r]\n|\ufffd/);
        for (const line of text.split('\r\n')) expect(encodeUtf8(line).length).toBeLessThanOrEqual(75);
      }),
      { numRuns: 100, endOnFailure: true },
    );
  });
}
