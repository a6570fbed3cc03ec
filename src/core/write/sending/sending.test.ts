// The code is read by ZXing, which knows nothing of how it was made; ISO/IEC 18004.
import {
  BinaryBitmap,
  DecodeHintType,
  GlobalHistogramBinarizer,
  QRCodeReader,
  RGBLuminanceSource,
} from '@zxing/library';
import fc from 'fast-check';
import { create } from 'qrcode';

import { encodeUtf8 } from '@/core/base';
import { type Card, newCard, parseName } from '@/core/card';
import { getFormat } from '@/core/formats';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { cardAsText } from './cardAsText';
import { cardForCode } from './cardForCode';
import { cardsAsPage } from './cardsAsPage';
import { cardToSend, hasPrivate } from './cardToSend';

const options = { country: 'GB', locale: 'en-GB', today: '2026-11-24' };
const ada: Card = {
  ...newCard('a', '2026-01-01T00:00:00Z'),
  name: parseName('Ådå Lowther') ?? {},
  organizations: { g1: { name: 'Harbour Hall' } },
  phones: {
    p1: { number: '+44 20 7946 0958', contexts: { work: true } },
    p2: { number: '+44 7700 900123', 'cordialis.example:private': true } as never,
  },
  emails: { e1: { address: 'ada@example.org' } },
  notes: { o1: { note: 'pays late' } },
  relatedTo: { b: { relation: { spouse: true } } },
  'cordialis.example:opener': 'the new organ',
};

/** Reads the modules of a code as a scanner does: as grey pixels, four to a module, with a quiet zone. */
function scan(text: string): string {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const [scale, quiet] = [4, 4];
  const side = (modules.size + quiet * 2) * scale;
  const pixels = new Uint8ClampedArray(side * side).fill(255);
  for (let y = 0; y < modules.size * scale; y += 1) {
    for (let x = 0; x < modules.size * scale; x += 1) {
      const isDark = modules.get(Math.floor(y / scale), Math.floor(x / scale));
      if (isDark) pixels[(y + quiet * scale) * side + x + quiet * scale] = 0;
    }
  }
  const bitmap = new BinaryBitmap(new GlobalHistogramBinarizer(new RGBLuminanceSource(pixels, side, side)));
  const hints = new Map<DecodeHintType, unknown>([
    [DecodeHintType.CHARACTER_SET, 'UTF-8'],
    // A picture of nothing but the code; finding it in a photo is not what is tested.
    [DecodeHintType.PURE_BARCODE, true],
  ]);
  return new QRCodeReader().decode(bitmap, hints).getText();
}

test('without being asked, private values, notes and what only this book knows stay here', () => {
  const sent = cardToSend(ada);
  expect(Object.keys(sent.phones ?? {})).toEqual(['p1']);
  expect(JSON.stringify(sent)).not.toMatch(/pays late|new organ|900123|spouse/);
  expect(Object.keys(cardToSend(ada, { withPrivate: true }).phones ?? {})).toEqual(['p1', 'p2']);
  expect(cardToSend(ada, { withNotes: true }).notes).toEqual(ada.notes);
  expect([hasPrivate(ada), hasPrivate(sent)]).toEqual([true, false]);
});

test('the code of a card is read by ZXing, and what it says is that card', () => {
  const { text, left } = cardForCode(cardToSend(ada));
  expect(scan(text)).toBe(text);
  expect(left).toEqual([]);
  const [back] = getFormat('vcard3')?.read?.(encodeUtf8(text)).cards ?? [];
  expect(back?.name?.components).toEqual(ada.name?.components);
  expect(back?.phones).toEqual({ p1: ada.phones?.['p1'] });
  expect(back?.emails).toEqual(ada.emails);
});

test('what doesn’t fit stays behind, the least needed first, and is named', () => {
  const long = {
    ...ada,
    notes: { o1: { note: 'x'.repeat(2000) } },
    media: { m1: { kind: 'photo', uri: 'data:,' } },
  };
  const { text, left } = cardForCode(long);
  expect(left).toEqual(['media', 'notes']);
  expect(text).toContain('TEL');
  expect(scan(text)).toBe(text);
});

test('law: any card fits a code as soon as its name does, and can be scanned', () => {
  fc.assert(
    fc.property(arbitraryCard, (card) => {
      const { text } = cardForCode(card);
      expect(encodeUtf8(text).length).toBeLessThanOrEqual(1800);
      expect(scan(text)).toBe(text);
    }),
    { numRuns: 25, endOnFailure: true },
  );
});

test('as text a card is a name and a line for each value', () => {
  expect(cardAsText(cardToSend(ada), options)).toBe(
    ['Ådå Lowther', 'Harbour Hall', 'Phone (work): 020 7946 0958', 'Mail: ada@example.org'].join('\n'),
  );
});

test('nothing a card says becomes markup on the page to print', () => {
  const attack = '<img src=x onerror=alert(1)>';
  const page = cardsAsPage(
    [
      {
        ...ada,
        name: { full: attack },
        notes: { o1: { note: attack } },
        nicknames: { n1: { name: '"><script>' } },
      },
    ],
    { ...options, photoOf: () => 'data:image/png;base64,AA" onerror="alert(1)' },
  );
  expect(page).not.toMatch(/<img|<script/);
  expect(page).toContain('&lt;img src=x onerror=alert(1)&gt;');
});
