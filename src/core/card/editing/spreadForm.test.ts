import fc from 'fast-check';

import { type Card, newCard } from '@/core/card';
import { extractCard } from '@/core/extract';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { spreadForm } from './spreadForm';
import { toForm } from './toForm';

const empty: Card = { ...newCard('urn:uuid:1', '2026-11-29T10:00:00Z'), kind: 'individual' };
const read = (text: string) => toForm(extractCard(text, empty, { country: 'NO' }).card);
const blank = toForm(empty);

const SIGNATURE = `Ingrid Solheim
Head of programme, Fjellheim Konserthus
Storgata 5, 0155 Oslo
+47 22 33 44 55
+47 912 34 567
ingrid@fjellheim.example`;

test('a signature goes to the fields of its values, and says how many it takes', () => {
  const { form, counts, fields } = spreadForm(blank, read(SIGNATURE));
  expect(counts).toMatchObject({ name: 1, work: 1, phones: 2, emails: 1, addresses: 1 });
  expect(form.name).toBe('Ingrid Solheim');
  expect(form.emails.map(({ address }) => address)).toEqual(['ingrid@fjellheim.example']);
  expect(form.phones).toHaveLength(2);
  expect(form.addresses[0]).toMatchObject({ street: 'Storgata 5', postcode: '0155', locality: 'Oslo' });
  expect(fields).toBeGreaterThan(6);
});

test('a name that stands there stays, and what is known already is not added again', () => {
  const known = {
    ...blank,
    name: 'Ingrid S.',
    phones: [{ id: 'p1', label: 'work', isPreferred: true, isPrivate: false, number: '22 33 44 55' }],
  };
  const { form, counts } = spreadForm(known, read(SIGNATURE));
  expect(form.name).toBe('Ingrid S.');
  expect(counts.name).toBeUndefined();
  expect(form.phones.map(({ id }) => id)).toEqual(['p1', 'new-spread-phones-0']);
});

test('one value is nothing to spread', () => {
  expect(spreadForm({ ...blank, name: 'Somebody' }, read('ingrid@fjellheim.example')).fields).toBe(1);
  expect(spreadForm(blank, read('thank you, see you on Monday')).fields).toBeLessThan(2);
});

test('two numbers in one line are two numbers', () => {
  const { form } = spreadForm({ ...blank, name: 'Somebody' }, read('+47 22 33 44 55, +47 912 34 567'));
  expect(form.phones).toHaveLength(2);
});

test('whatever is spread over whatever: nothing that stood there is changed, and a second time adds nothing', () => {
  fc.assert(
    fc.property(arbitraryCard, arbitraryCard, (one, other) => {
      const form = toForm(one);
      const once = spreadForm(form, toForm(other));
      for (const list of ['phones', 'emails', 'addresses', 'links', 'dates', 'notes'] as const)
        expect(once.form[list]).toEqual(expect.arrayContaining(form[list].filter(hasValue)));
      if (form.name.trim() !== '') expect(once.form.name).toBe(form.name);
      expect(spreadForm(once.form, toForm(other)).counts).toEqual({});
    }),
  );
});

const hasValue = (entry: object) =>
  Object.entries(entry).some(
    ([key, value]) =>
      ['number', 'address', 'street', 'postcode', 'locality', 'country', 'uri', 'text'].includes(key) &&
      /[\p{L}\p{N}]/u.test(String(value)),
  );
