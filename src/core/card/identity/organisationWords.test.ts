// Legal forms as the commercial registers of their countries abbreviate them (common practice).
import { organisationKey, organisationWords } from '@/core/card';

for (const name of [
  'Quay Strings',
  'Quay Strings Ltd',
  'Quay Strings, L.L.C.',
  'QUAY STRINGS PLC',
  'Quay Strings GmbH & Co. KG',
  'Quay Strings e.V.',
  'Quay Strings S.à r.l.',
  'Quay Strings S.p.A.',
  'Quay Strings, S.L.',
  'Quay Strings Lda.',
  'Quay Strings Ltda',
  'Quay Strings B.V.',
  'Quay Strings Sp. z o.o.',
  'Quay Strings sp. z o. o.',
  'Quay Strings s.r.o.',
  'Quay Strings spol. s r.o.',
])
  test(`${name} is Quay Strings`, () => expect(organisationWords(name)).toEqual(['quay', 'strings']));

test('a name that is nothing but a form stays, and a short word of a name too', () => {
  expect(organisationWords('AG')).toEqual(['ag']);
  expect(organisationWords('Sp. z o.o.')).not.toEqual([]);
  expect(organisationKey('Spółka Muzyczna')).toBe('spolka muzyczna');
});
