import fc from 'fast-check';

import { cardAlone } from './cardAlone';
import { evenLight } from './evenLight';
import { faultOf } from './faultOf';
import { greyOf, type GreyPicture, quantile, toGreymap, turned } from './greyPicture';
import { mendReadText } from './mendReadText';
import { isSureReading, readyToRead, worthOf } from './readyToRead';
import { skewOf } from './skewOf';

/** Paper with lines of short strokes, as text is from afar. */
function page(width: number, height: number, paper = 235, ink = 30): GreyPicture {
  const pixels = new Uint8ClampedArray(width * height).fill(paper);
  for (let y = 30; y < height - 30; y += 24)
    for (let x = 40; x < width - 40; x += 1)
      if (x % 9 < 6) for (let row = 0; row < 9; row += 1) pixels[(y + row) * width + x] = ink;
  return { width, height, pixels };
}

/** A card on a table. */
function onTable(card: GreyPicture, table: number, margin: number): GreyPicture {
  const [width, height] = [card.width + 2 * margin, card.height + 2 * margin];
  const pixels = new Uint8ClampedArray(width * height).fill(table);
  for (let y = 0; y < card.height; y += 1)
    pixels.set(card.pixels.subarray(y * card.width, (y + 1) * card.width), (y + margin) * width + margin);
  return { width, height, pixels };
}

test('grey by how light colours are seen; what is clear is white', () => {
  const { pixels } = greyOf(3, 1, [255, 0, 0, 255, 0, 255, 0, 255, 0, 0, 0, 0]);
  expect([...pixels]).toEqual([76, 150, 255]);
});

test.each([-25, -12, -3, 0, 2, 8, 17, 28])(
  'a page that leans by %s degrees is found to lean so',
  (degrees) => {
    const leaning = evenLight(turned(page(420, 300), degrees));
    expect(Math.abs(skewOf(leaning) - degrees)).toBeLessThanOrEqual(0.7);
  },
);

test.each([90, 180, 270])(
  'turning by %s degrees and back gives the picture again, but for its rim',
  (degrees) => {
    const picture = page(120, 100);
    const back = turned(turned(picture, degrees), -degrees);
    expect([back.width, back.height]).toEqual([picture.width, picture.height]);
    let far = 0;
    for (let y = 2; y < 98; y += 1)
      for (let x = 2; x < 118; x += 1)
        if (Math.abs((back.pixels[y * 120 + x] ?? 0) - (picture.pixels[y * 120 + x] ?? 0)) > 40) far += 1;
    expect(far).toBeLessThan(120);
  },
);

test('light letters on dark paper, and letters in a shadow, become dark ones on light paper', () => {
  for (const [paper, ink] of [
    [40, 220],
    [90, 30],
    [235, 30],
  ] as const) {
    const even = evenLight(page(300, 220, paper, ink));
    expect(quantile(even, 0.7)).toBeGreaterThan(200);
    expect(quantile(even, 0.03)).toBeLessThan(80);
  }
});

test('a card is cut out of the table, whether lighter or darker; a picture without a table stays', () => {
  const card = page(400, 240);
  for (const table of [120, 60]) {
    const alone = cardAlone(onTable(card, table, 150));
    expect(Math.abs(alone.width - 400)).toBeLessThan(20);
    expect(Math.abs(alone.height - 240)).toBeLessThan(20);
  }
  expect(cardAlone(card)).toBe(card);
  const dark = cardAlone(onTable(page(400, 240, 45, 230), 150, 150));
  expect(Math.abs(dark.width - 400)).toBeLessThan(20);
});

test('what is wrong with a picture', () => {
  expect(faultOf(page(200, 120))).toBe('small');
  expect(faultOf(page(600, 400, 40, 10))).toBe('dark');
  expect(faultOf(page(600, 400, 200, 180))).toBe('pale');
  const { width, height, pixels } = page(600, 400);
  // A soft picture: each pixel the mean of many around it.
  const soft = Uint8ClampedArray.from(pixels, (_, i) => {
    let sum = 0;
    for (let d = -20; d <= 20; d += 1) sum += pixels[Math.max(0, Math.min(pixels.length - 1, i + d))] ?? 0;
    return sum / 41;
  });
  expect(faultOf({ width, height, pixels: soft })).toBe('blurred');
  expect(faultOf(page(600, 400))).toBeUndefined();
});

test.each([
  [1, 1],
  [3, 40],
])('a picture of %s by %s can be made ready, and is then of a size that is read', (width, height) => {
  const pixels = Uint8ClampedArray.from({ length: width * height }, (_, i) => (i * 7919) % 256);
  const ready = readyToRead({ width, height, pixels });
  expect(ready.pixels.length).toBe(ready.width * ready.height);
  expect(toGreymap(ready).length).toBeGreaterThan(ready.pixels.length);
});

test('a reading is worth what its words are', () => {
  expect(worthOf({ text: '.. | ~', confidence: 95 })).toBe(0);
  expect(isSureReading({ text: 'Harriet Thornley Violin Maker', confidence: 90 })).toBe(true);
  expect(isSureReading({ text: 'Harriet', confidence: 90 })).toBe(false);
});

// What tesseract.js 7 made of cards that were drawn for it.
test.each([
  ['harriet.ashdown®@harbour.example', 'harriet.ashdown@harbour.example'],
  ['begona.ibanezOlutheriapena.example', 'begona.ibanez@lutheriapena.example'],
  ['François Péclard\nfrancois .peclard@marees.example', 'François Péclard\nfrancois.peclard@marees.example'],
  ['Grażyna Kłos\ni grazyna klos@fala.example', 'Grażyna Kłos\ni grazyna.klos@fala.example'],
  [
    'ramon. penalvereteatrodel muelle. example\nwww.teatrodelmuelle. example',
    'ramon.penalver@teatrodelmuelle.example\nwww.teatrodelmuelle.example',
  ],
  [
    'Teatro del Muelle\nramon@teatrodeimuelle.example\nwww.teatrodelmuelle.example',
    'Teatro del Muelle\nramon@teatrodelmuelle.example\nwww.teatrodelmuelle.example',
  ],
  ['Tel ©1632 962144', 'Tel 01632 962144'],
  ['Mobile 87700 903381', 'Mobile 07700 903381'],
  ['Tel 01632 9621O4', 'Tel 01632 962104'],
  ['Tel +44 1632 962144', 'Tel +44 1632 962144'],
  ['~ : ;\nAnna Lund |', 'Anna Lund'],
])('%j is mended to %j', (read, mended) => expect(mendReadText(read, { country: 'GB' })).toBe(mended));

test('what is right stays as it is', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(
        'anna.lund@quay.example',
        'T 020 7946 0123',
        'www.quay.example',
        'Anna Lund',
        '8 Quay Street',
        '+49 89 5550 142',
      ),
      (line) => expect(mendReadText(line, { country: 'GB' })).toBe(line),
    ),
  );
});
