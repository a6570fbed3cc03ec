import { parseName } from '../name/parseName';
import { newCard } from '../parseCard';
import type { Card } from '../schema/types';
import { greetingFor } from './greetingFor';

function speaker(name: string, ...languages: { language: string; pref?: number }[]): Card {
  const parsed = parseName(name);
  return {
    ...newCard('x', '2026-01-01T00:00:00Z'),
    ...(parsed ? { name: parsed } : {}),
    preferredLanguages: Object.fromEntries(languages.map((one, i) => [`l${i}`, one])),
  };
}

// The words are common practice in each language.
const cases = [
  { card: speaker('Ada Lowther'), kind: 'birth' as const, text: 'Happy birthday, Ada!' },
  {
    card: speaker('Luc Roussel', { language: 'fr-CA' }),
    kind: 'birth' as const,
    text: 'Joyeux anniversaire, Luc!',
  },
  {
    card: speaker('Maja Wolf', { language: 'de', pref: 2 }, { language: 'pl', pref: 1 }),
    kind: 'wedding' as const,
    text: 'Wszystkiego najlepszego z okazji rocznicy ślubu, Maja!',
  },
  {
    card: speaker('田中 陽子', { language: 'ja' }),
    kind: 'birth' as const,
    text: 'お誕生日おめでとうございます!',
  },
  {
    card: speaker('Zora Quast', { language: 'tlh' }, { language: 'sv' }),
    kind: 'birth' as const,
    text: 'Grattis på födelsedagen, Zora!',
  },
  {
    card: speaker('Zora Quast', { language: 'tlh' }),
    kind: 'wedding' as const,
    text: 'Happy anniversary, Zora!',
  },
];
for (const { card, kind, text } of cases)
  test(`a greeting stands ready: ${text}`, () => expect(greetingFor(card, kind)).toBe(text));
