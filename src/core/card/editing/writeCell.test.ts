import fc from 'fast-check';

import { findCountryCode, isSameJson } from '@/core/base';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { numbered } from '../../../../test/unit/numbered';
import { newCard } from '../parseCard';
import type { Card } from '../schema/types';
import { customColumns, tableColumns } from '../table/tableColumns';
import { writeCell } from './writeCell';

const columns = tableColumns({ locale: 'en-GB', order: { by: 'surname', particlesCount: false } });
const context = { locale: 'en-GB', findCountryCode };
const read = (card: Card, id: string) => columns.find((column) => column.id === id)?.read(card);
function written(card: Card, id: string, text: string): Card {
  const result = writeCell(card, id, text, context);
  if (!('card' in result)) throw new Error(result.fault);
  return result.card;
}

const blank = { ...newCard('x', '2026-01-01T00:00:00Z'), name: { full: 'Ada Lowther' } };
const texts: { id: string; text: string; shown?: string }[] = [
  { id: 'name', text: 'Ada Mary Lowther' },
  { id: 'given', text: 'Edith' },
  { id: 'surname', text: 'van Dijk' },
  { id: 'nickname', text: 'Addie, Ad' },
  { id: 'organisation', text: 'Brzeg & Sons' },
  { id: 'department', text: 'Strings; Violas' },
  { id: 'post', text: 'Piano tuner' },
  { id: 'number', text: '01632 960001' },
  { id: 'mail', text: 'ada@example.org' },
  { id: 'web', text: 'example.org', shown: 'https://example.org' },
  { id: 'street', text: '7 Pier Road' },
  { id: 'postcode', text: 'WX1 2AB' },
  { id: 'town', text: 'Wexmere' },
  { id: 'region', text: 'Wexshire' },
  { id: 'country', text: 'Norway' },
  { id: 'birthday', text: '3.2.1968', shown: '3 February 1968' },
  { id: 'languages', text: 'Polish, English' },
  { id: 'tags', text: 'tuner, pianos' },
  { id: 'note', text: 'two\nlines' },
  { id: 'opener', text: 'The new Blüthner' },
];
for (const { id, text, shown = text } of texts) {
  test(`a cell of the column ${id} is written, read back and emptied`, () => {
    const card = written(blank, id, text);
    expect(read(card, id)).toBe(shown);
    // Written once more as it is shown it is the very same.
    expect(isSameJson(written(card, id, shown), card)).toBe(true);
    if (id !== 'name') expect(read(written(card, id, ''), id)).toBe('');
  });
}

test('every column that says it can be written has its case above', () => {
  expect(
    columns
      .filter(({ isWritable }) => isWritable)
      .map(({ id }) => id)
      .sort(),
  ).toEqual(texts.map(({ id }) => id).sort());
});

test('a part of a name changes what is shown, and the other part stays', () => {
  const card = written(blank, 'surname', 'Vance');
  expect([read(card, 'name'), read(card, 'given')]).toEqual(['Ada Vance', 'Ada']);
});

test('of several numbers the preferred one is shown and written', () => {
  const phones = { p1: { number: '1' }, p2: { number: '2', pref: 1, contexts: { work: true as const } } };
  const card = written({ ...blank, phones }, 'number', '3');
  expect(card.phones).toEqual({
    p1: { number: '1' },
    p2: { number: '3', pref: 1, contexts: { work: true } },
  });
});

test('the country of an address gets its code', () => {
  const card = written(blank, 'country', 'Norway');
  expect(Object.values(card.addresses ?? {})[0]?.countryCode).toBe('NO');
});

test('an own field has a column once a card has it, and is made where a card has none', () => {
  const [first] = customColumns([written(blank, 'own:shoe size', '38')]);
  expect(first).toMatchObject({ id: 'own:shoe size', title: 'shoe size' });
  const card = writeCell(blank, 'own:shoe size', '41', { title: 'Shoe size' });
  expect('card' in card && numbered(card.card)['cordialis.example:fields']).toEqual({
    f1: { label: 'Shoe size', value: '41' },
  });
});

const faults = [
  { id: 'mail', text: 'ada at home', fault: 'A mail address looks like name@example.org' },
  { id: 'number', text: 'none', fault: 'A number needs digits, such as 020 7946 0958' },
  {
    id: 'birthday',
    text: '31 April',
    fault: 'Write the day as 3 February 1968, or 3 February where the year is not known',
  },
  {
    id: 'name',
    text: '',
    fault: 'Give a name, an organisation, a number or a mail address; one of them is enough',
  },
  { id: 'added', text: '2026-01-01', fault: 'This column can’t be written' },
];
for (const { id, text, fault } of faults) {
  test(`"${text}" is refused in the column ${id}`, () => {
    expect(writeCell(blank, id, text, context)).toEqual({ fault });
  });
}

test('any card keeps everything when a cell is written as it is', () => {
  fc.assert(
    fc.property(arbitraryCard, fc.constantFrom(...texts.map(({ id }) => id)), (card, id) => {
      const result = writeCell(card, id, read(card, id) ?? '', context);
      // A card with something that the form doesn't take keeps it untouched as well.
      expect('fault' in result || id === 'given' || id === 'surname' || isSameJson(result.card, card)).toBe(
        true,
      );
    }),
    { numRuns: 300 },
  );
});
