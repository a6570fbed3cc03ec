import { indexOrganisations, renameOrganisation } from './organisations';
import { newCard } from './parseCard';
import type { Card } from './schema/types';

const at = '2026-01-01T00:00:00Z';
const hall: Card = { ...newCard('hall', at), kind: 'org', name: { full: 'Hafenhalle & Söhne' } };
const person = (uid: string, ...names: string[]): Card => ({
  ...newCard(uid, at),
  name: { full: uid },
  organizations: Object.fromEntries(names.map((name, i) => [`g${i + 1}`, { name, sortAs: 'x' }])),
});

test('people are found by the name of their organisation, however it is written', () => {
  const index = indexOrganisations([
    hall,
    person('a', 'Hafenhalle & Söhne'),
    person('b', 'hafenhalle  sohne'),
    person('c', 'Other'),
  ]);
  expect(index.findPeople('Hafenhalle & Söhne')).toEqual(['a', 'b']);
  expect(index.findOrganisation('HAFENHALLE & SÖHNE')).toBe('hall');
  expect(index.findOrganisation('Other')).toBeUndefined();
  expect(index.findPeople('')).toEqual([]);
});

test('an organisation is renamed on a person’s card, the others stay', () => {
  const renamed = renameOrganisation(
    person('a', 'Other', 'hafenhalle & sohne'),
    'Hafenhalle & Söhne',
    'Hafenhalle',
  );
  expect(renamed.organizations).toEqual({ g1: { name: 'Other', sortAs: 'x' }, g2: { name: 'Hafenhalle' } });
});

test('a card that doesn’t name it is given back as it is', () => {
  const card = person('a', 'Other');
  expect(renameOrganisation(card, 'Hall', 'New')).toBe(card);
  expect(renameOrganisation(card, '', 'New')).toBe(card);
});
