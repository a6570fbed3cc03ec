import fc from 'fast-check';
import Papa from 'papaparse';

import { type Card, newCard, parseName, salutationFor } from '@/core/card';

import { ENVELOPES, envelopesAsPage } from './envelopes';
import { findLetters } from './findLetters';
import { labelsAsPage, placeLabels } from './labels';
import { LABEL_SHEETS, sheetProblem } from './sheets';
import { writeLetterList } from './writeLetterList';

type Address = NonNullable<Card['addresses']>[string];
const place = (town: string, more: Partial<Address> = {}): Address => ({
  components: [
    { kind: 'number', value: '4' },
    { kind: 'name', value: 'Quay Street' },
    { kind: 'locality', value: town },
    { kind: 'postcode', value: 'WX1 2AB' },
  ],
  countryCode: 'GB',
  ...more,
});
const person = (uid: string, name: string, addresses: Card['addresses'], more: Partial<Card> = {}): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  ...{ kind: 'individual', name: parseName(name) ?? {} },
  ...(addresses ? { addresses } : {}),
  ...more,
});
const cards = new Map(
  [
    person('ada', 'Ada Lowther', {
      a1: place('Wexmere', { pref: 1 }),
      a2: place('Brine', { contexts: { delivery: true } }),
    }),
    person(
      'bo',
      'Bo Ek',
      { a1: place('Lund', { countryCode: 'SE', contexts: { work: true } }) },
      { organizations: { g1: { name: 'Quay Strings' } } },
    ),
    person('cy', 'Cy =1+1', undefined),
    person('du', '=2+2', { a1: place('Wexmere') }),
  ].map((card) => [card.uid, card]),
);
const getCard = (uid: string) => cards.get(uid);
const options = { country: 'GB', countryName: (code: string) => ({ SE: 'Sweden' })[code] ?? '' };

test('letters go to the address for post, to the house at work, abroad with the country in capitals', () => {
  const { letters, without } = findLetters(['ada', 'bo', 'cy', 'ada', 'nobody'], getCard, options);
  expect(letters.map(({ lines }) => lines)).toEqual([
    ['Ada Lowther', '4 Quay Street', 'Brine WX1 2AB'],
    ['Bo Ek', 'Quay Strings', 'Quay Street 4', 'WX1 2AB Lund', 'SWEDEN'],
  ]);
  expect(without).toEqual(['cy']);
});

test('every sheet that is offered fits its paper', () => {
  expect(LABEL_SHEETS.length).toBeGreaterThan(3);
  for (const [name, sheet] of LABEL_SHEETS) expect([name, sheetProblem(sheet)]).toEqual([name, undefined]);
});

test('a sheet that doesn’t fit says by how much', () => {
  const [, sheet] = LABEL_SHEETS[0] ?? [];
  if (!sheet) throw new Error('there is no sheet');
  expect(sheetProblem({ ...sheet, left: 20 })).toBe('The labels run 5.5 mm over the right edge of the paper');
  expect(sheetProblem({ ...sheet, rows: 8 })).toMatch(/lower edge of the paper$/);
  expect(sheetProblem({ ...sheet, labelWidth: 5 })).toMatch(/at least$/);
});

test('labels stand in their cells, none over another, from the chosen place on', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...LABEL_SHEETS.map(([, sheet]) => sheet)),
      fc.integer({ min: 1, max: 70 }),
      fc.integer({ min: 1, max: 40 }),
      (sheet, count, start) => {
        const places = placeLabels(sheet, count, start);
        expect(new Set(places.map(({ page, x, y }) => `${page} ${x} ${y}`)).size).toBe(count);
        for (const { x, y } of places) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x + sheet.labelWidth).toBeLessThanOrEqual(sheet.paperWidth + 0.2);
          expect(y + sheet.labelHeight).toBeLessThanOrEqual(sheet.paperHeight + 0.2);
        }
      },
    ),
  );
  const [, sheet] = LABEL_SHEETS[1] ?? [];
  // 24 on a sheet of three columns: the fifth place is the second of the second row; 20 fit on the first sheet.
  expect(sheet && placeLabels(sheet, 21, 5)).toMatchObject({
    0: { page: 0, x: 70, y: 40.5 },
    20: { page: 1, x: 0, y: 4.5 },
  });
});

test('what stands on a card can’t become markup', () => {
  const letters = [{ lines: ['<script>steal()</script>', 'A & B'] }];
  const sheet = LABEL_SHEETS[0]?.[1];
  const size = ENVELOPES[0];
  if (!sheet || !size) throw new Error('there is no size');
  for (const html of [labelsAsPage(letters, sheet), envelopesAsPage(letters, size, ['<b>me</b>'])]) {
    expect(html).not.toMatch(/<script|<b>/);
    expect(html).toContain('A &amp; B');
  }
});

test('the list for other programs has a line for each, and nothing in it is a formula', () => {
  const { letters } = findLetters(['bo', 'du'], getCard, options);
  const { data } = Papa.parse<Record<string, string>>(writeLetterList(letters, getCard, salutationFor), {
    ...{ header: true, skipEmptyLines: true },
  });
  expect(data).toMatchObject([
    {
      ...{ Salutation: 'Dear Bo Ek', Name: 'Bo Ek', Organisation: 'Quay Strings' },
      ...{ 'Line 5': 'SWEDEN', Postcode: 'WX1 2AB', Town: 'Lund', Country: 'SE' },
    },
    { Name: "'=2+2" },
  ]);
});
