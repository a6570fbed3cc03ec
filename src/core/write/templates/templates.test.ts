import { type Card, greetingFor, newCard, parseName, salutationFor } from '@/core/card';

import { fieldWords } from './fields';
import { fieldsIn, fillTemplate, labelsOf, missingFields } from './fillTemplate';
import { SHIPPED } from './shipped';

const ADA: Card = {
  ...newCard('ada', '2026-01-01T00:00:00Z'),
  ...{ kind: 'individual', name: parseName('Ada Lowther') ?? {} },
  emails: { e1: { address: 'ada@example.org' } },
  anniversaries: { a1: { kind: 'birth', date: { month: 5, day: 3 } } },
  'cordialis.example:fields': { f1: { label: 'Stand number', value: '12 b' } },
};
const BO: Card = {
  ...newCard('bo', '2026-01-01T00:00:00Z'),
  ...{ kind: 'individual', name: parseName('Bo Ek') ?? {} },
  organizations: { g1: { name: 'Quay Strings' } },
  preferredLanguages: { q1: { language: 'sv' } },
};

const texts: { text: string; card?: Card | undefined; filled: string; missing: string[] }[] = [
  { text: 'Dear {given}.', card: ADA, filled: 'Dear Ada.', missing: [] },
  { text: 'Dear { Given }.', card: ADA, filled: 'Dear Ada.', missing: [] },
  { text: 'at {organisation}', card: ADA, filled: 'at ', missing: ['organisation'] },
  { text: 'at {organisation|home}', card: ADA, filled: 'at home', missing: [] },
  { text: 'Dear {given|friend}', card: undefined, filled: 'Dear friend', missing: [] },
  { text: 'Hello{if organisation}, {organisation}{end}.', card: ADA, filled: 'Hello.', missing: [] },
  {
    text: 'Hello{if organisation}, {organisation}{end}.',
    card: BO,
    filled: 'Hello, Quay Strings.',
    missing: [],
  },
  { text: '{if not mail}Write us yours.{end}', card: BO, filled: 'Write us yours.', missing: [] },
  { text: '{if not mail}Write us yours.{end}', card: ADA, filled: '', missing: [] },
  { text: '{if post}a{if mail}b{end}c{end}d', card: ADA, filled: 'd', missing: [] },
  { text: '{if mail}a{if post}b{end}c{end}d', card: ADA, filled: 'acd', missing: [] },
  { text: 'left {if mail} open', card: ADA, filled: 'left {if mail} open', missing: [] },
  { text: 'too many {end}', card: ADA, filled: 'too many {end}', missing: [] },
  { text: '{nobody} {} { a { b } }', card: ADA, filled: '{nobody} {} { a { b } }', missing: [] },
  { text: 'on {born}', card: ADA, filled: 'on 3 May', missing: [] },
  { text: 'Stand {stand number}', card: ADA, filled: 'Stand 12 b', missing: [] },
  { text: 'Stand {stand number}', card: BO, filled: 'Stand ', missing: ['stand number'] },
  { text: '{birthday}', card: BO, filled: 'Grattis på födelsedagen, Bo!', missing: [] },
];
const words = { greetingFor, salutationFor };
const context = { labels: labelsOf([ADA, BO]), words };
for (const { text, card, filled, missing } of texts) {
  test(`“${text}” for ${card?.uid ?? 'nobody'} is “${filled}”`, () => {
    expect(fillTemplate(text, card, context)).toBe(filled);
    expect(missingFields(text, card, context)).toEqual(missing);
  });
}

test('the fields of a text are named once each, those in conditions too', () => {
  expect(fieldsIn('{given} {GIVEN|x} {if post}{name}{end} {else} {stand number}', context)).toEqual([
    ...['given', 'post', 'name', 'stand number'],
  ]);
});

test('every field that is offered is one, and what ships has no other', () => {
  expect(fieldsIn(fieldWords.map((word) => `{${word}}`).join(' '))).toEqual(fieldWords);
  for (const { subject, body } of SHIPPED) {
    const text = `${subject}${body}`;
    const inBraces = [...text.matchAll(/\{(?:if )?(\w+)\}/g)].map(([, word = '']) => word);
    expect(new Set(inBraces.filter((word) => word !== 'end'))).toEqual(new Set(fieldsIn(text)));
    expect(fillTemplate(text, ADA, context)).not.toContain('{');
  }
});
