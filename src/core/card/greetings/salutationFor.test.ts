// How letters begin is common practice in each language; from memory.
import { parseName } from '../name/parseName';
import { newCard } from '../parseCard';
import type { Card } from '../schema/types';
import { salutationFor } from './salutationFor';

interface Who {
  readonly name?: string;
  readonly language?: string;
  readonly pronouns?: string;
  readonly gender?: string;
  readonly kind?: string;
}

function cardOf({ name, language, pronouns, gender, kind = 'individual' }: Who): Card {
  return {
    ...newCard('x', '2026-01-01T00:00:00Z'),
    kind,
    ...(name === undefined ? {} : { name: parseName(name) ?? {} }),
    ...(language === undefined ? {} : { preferredLanguages: { q1: { language } } }),
    ...(pronouns === undefined && gender === undefined
      ? {}
      : {
          speakToAs: {
            ...(gender === undefined ? {} : { grammaticalGender: gender }),
            ...(pronouns === undefined ? {} : { pronouns: { y1: { pronouns } } }),
          },
        }),
  };
}

const cases: { who: Who; is: string }[] = [
  { who: { name: 'Ada Lowther', pronouns: 'she/her' }, is: 'Dear Ms Lowther' },
  { who: { name: 'Bo Ek', gender: 'masculine' }, is: 'Dear Mr Ek' },
  { who: { name: 'Bo Ek', pronouns: 'they/them' }, is: 'Dear Bo Ek' },
  { who: { name: 'Bo Ek', gender: 'common', pronouns: 'he/him' }, is: 'Dear Bo Ek' },
  { who: { name: 'Dr. Ada Lowther', pronouns: 'she/her' }, is: 'Dear Dr. Lowther' },
  { who: { name: 'Ada Lowther' }, is: 'Dear Ada Lowther' },
  {
    who: { name: 'Dr. Jule Harms', language: 'de-AT', gender: 'feminine' },
    is: 'Sehr geehrte Frau Dr. Harms',
  },
  { who: { name: 'Jule Harms', language: 'de' }, is: 'Guten Tag Jule Harms' },
  { who: { name: 'Luc Roussillon', language: 'fr', gender: 'masculine' }, is: 'Monsieur Roussillon' },
  { who: { name: 'Hélène Roussillon', language: 'fr', pronouns: 'elle' }, is: 'Madame Roussillon' },
  { who: { name: '田中 陽子', language: 'ja' }, is: '田中 陽子様' },
  { who: { name: 'Zoë', pronouns: 'she/her' }, is: 'Dear Zoë' },
  { who: { name: 'Harbour Hall', kind: 'org', language: 'de' }, is: 'Sehr geehrte Damen und Herren' },
  { who: {}, is: 'Dear Sir or Madam' },
  { who: { name: 'Ada Lowther', language: 'cy' }, is: 'Dear Ada Lowther' },
];
for (const { who, is } of cases) {
  test(`a letter to ${JSON.stringify(who)} begins “${is}”`, () =>
    expect(salutationFor(cardOf(who))).toBe(is));
}
