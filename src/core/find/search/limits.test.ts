// Rules of transliteration are common practice; distances are worked out by hand.
import fc from 'fast-check';

import { type Card, newCard, parseName, withFlag } from '@/core/card';
import { newList, withMembers } from '@/core/lists';
import { summarise, type Talk } from '@/core/talks';

import { Gazetteer } from '../places/gazetteer';
import { formatRule } from '../rules/formatRule';
import { parseLimits } from '../rules/parseLimits';
import type { Rule } from '../rules/rule';
import { findCards } from './findCards';
import { compareBeginning } from './nearness';
import { SearchIndex } from './searchIndex';
import { searchWords } from './searchWords';
import { toSearchDoc } from './toSearchDoc';

const today = '2026-11-25';

function cardOf(name: string, more: Partial<Card> = {}): Card {
  const parsed = parseName(name);
  return { ...newCard(name, '2026-01-01T00:00:00Z'), ...(parsed ? { name: parsed } : {}), ...more };
}
const inTown = (town: string, country = ''): Partial<Card> => ({
  addresses: {
    a1: {
      components: [
        { kind: 'locality', value: town },
        { kind: 'country', value: country },
      ],
    },
  },
});
const cards = [
  cardOf('Ada Lowther', {
    ...inTown('Wexmere'),
    emails: { e1: { address: 'ada@example.org' } },
    keywords: { press: true },
  }),
  cardOf('Jörg Müller', { ...inTown('Sète', 'France'), notes: { o1: { note: 'plays the oboe' } } }),
  cardOf('Mueller Verlag', { kind: 'org', emails: { e1: { address: 'post@mueller.example' } } }),
  cardOf('Bo In', { ...inTown('Wexmere'), relatedTo: { 'Ada Lowther': { relation: { spouse: true } } } }),
  cardOf('田中陽子', { anniversaries: { d1: { kind: 'birth', date: { month: 12, day: 1 } } } }),
  cardOf('محمد العربي'),
  withFlag(cardOf('Cy Old'), 'archived', true),
  withFlag(cardOf('Cy Pinned', { created: '2026-11-20T00:00:00Z' }), 'pinned', true),
];
const patrons = withMembers({ ...newList('L1', 'Patrons', 'x') }, ['Ada Lowther', 'L2']);
const choir = withMembers(newList('L2', 'Choir', 'x'), ['Bo In', 'L1']);
const rule: Rule = {
  kind: 'all',
  rules: [
    { kind: 'words', field: 'place', value: 'wexmere' },
    { kind: 'filled', field: 'mail', not: true },
  ],
};
const silent: Card = { ...newList('L3', 'Silent', 'x'), 'cordialis.example:rule': rule };

function indexOf(...some: Card[]): SearchIndex {
  const index = new SearchIndex();
  for (const card of some) index.add(toSearchDoc(card, 'GB'));
  return index;
}
const index = indexOf(...cards, patrons, choir, silent);
const find = (text: string) => findCards(index, text, { limit: 50, today }).hits.map(({ uid }) => uid);

const cases: { query: string; found: string[] }[] = [
  { query: 'in wexmere', found: ['Ada Lowther', 'Bo In'] },
  { query: 'ada in wexm', found: ['Ada Lowther', 'Bo In'] },
  { query: 'in wexmere without mail', found: ['Bo In'] },
  { query: 'not in wexmere with mail', found: ['Mueller Verlag'] },
  { query: '#press', found: ['Ada Lowther'] },
  { query: 'tagged pre', found: ['Ada Lowther'] },
  { query: 'on patr', found: ['Ada Lowther', 'Bo In'] },
  { query: 'on silent', found: ['Bo In'] },
  { query: 'organisations mueller', found: ['Mueller Verlag'] },
  { query: 'note: oboe', found: ['Jörg Müller'] },
  { query: 'with birthday', found: ['田中陽子'] },
  { query: 'archived', found: ['Cy Old'] },
  { query: 'pinned', found: ['Cy Pinned'] },
  { query: 'cy', found: ['Cy Pinned'] },
  // Where a limit leaves nobody, the words are words.
  { query: 'in bo', found: ['Bo In'] },
  // Transliterations, both ways.
  { query: 'mueller', found: ['Mueller Verlag', 'Jörg Müller'] },
  { query: 'muller', found: ['Jörg Müller', 'Mueller Verlag'] },
  { query: 'müller j', found: ['Jörg Müller'] },
  // Unspaced scripts, and the Arabic article.
  { query: '陽子', found: ['田中陽子'] },
  { query: 'عربي', found: ['محمد العربي'] },
  // A letter wrong, left out, put in, swapped.
  { query: 'lowhter', found: ['Ada Lowther'] },
  { query: 'lowter ada', found: ['Ada Lowther'] },
  { query: 'xq', found: [] },
];
for (const { query, found } of cases) {
  test(`finds by “${query}”`, () => expect(new Set(find(query))).toEqual(new Set(found)));
}

test('a list is found by its name with those on it, and a relation by the other’s name', () => {
  expect(find('choir')).toEqual(['L2', 'Ada Lowther', 'Bo In']);
  const hit = findCards(index, 'lowther bo', { limit: 5, today }).hits[0];
  expect(hit).toMatchObject({ uid: 'Bo In', field: 'relation', value: 'Ada Lowther' });
});

const rules: { name: string; rule: Rule; found: string[] }[] = [
  { name: 'nobody', rule: { kind: 'any', rules: [] }, found: [] },
  {
    name: 'none of two',
    rule: {
      kind: 'none',
      rules: [
        { kind: 'card', card: 'person' },
        { kind: 'card', card: 'list' },
      ],
    },
    found: ['Mueller Verlag'],
  },
  { name: 'a birthday soon', rule: { kind: 'coming', day: 'birth', days: 6 }, found: ['田中陽子'] },
  { name: 'a birthday sooner', rule: { kind: 'coming', day: 'birth', days: 5 }, found: [] },
  { name: 'added lately', rule: { kind: 'since', what: 'added', days: 5 }, found: ['Cy Pinned'] },
  { name: 'added lately, but not so lately', rule: { kind: 'since', what: 'added', days: 4 }, found: [] },
  {
    name: 'added in days that ended before it was',
    rule: { kind: 'since', what: 'added', days: 30, until: 6 },
    found: [],
  },
  {
    name: 'added in days whose last it was',
    rule: { kind: 'since', what: 'added', days: 30, until: 5 },
    found: ['Cy Pinned'],
  },
];
for (const { name, rule: one, found } of rules) {
  test(`a rule: ${name}`, () => expect(index.matching(one, today).sort()).toEqual([...found].sort()));
}

test('a rule in words', () => {
  expect(formatRule(rule, () => undefined)).toBe('in wexmere, without mail');
  const { tests } = parseLimits('not on patrons, people', { lists: index.lists() });
  expect(tests.map((test) => formatRule(test, () => 'Patrons'))).toEqual(['not on Patrons', 'people only']);
});

// The truth: each rule asked of each card by itself.
const leaf: fc.Arbitrary<Rule> = fc.constantFrom<Rule>(
  { kind: 'words', field: 'place', value: 'wex' },
  { kind: 'filled', field: 'mail' },
  { kind: 'filled', field: 'note', not: true },
  { kind: 'card', card: 'person' },
  { kind: 'list', list: 'L1' },
  { kind: 'flag', flag: 'pinned', not: true },
);
const { rule: anyRule } = fc.letrec<{ rule: Rule }>((tie) => ({
  rule: fc.oneof(
    { maxDepth: 4 },
    leaf,
    fc.record({
      kind: fc.constantFrom('all', 'any', 'none'),
      rules: fc.array(tie('rule'), { maxLength: 3 }),
    }),
  ),
}));
test('law: a rule is true of just those cards of which it is true by its parts', () => {
  const holds = (one: Rule, uid: string): boolean => {
    if (one.kind === 'all') return one.rules.every((part) => holds(part, uid));
    if (one.kind === 'any') return one.rules.some((part) => holds(part, uid));
    if (one.kind === 'none') return !one.rules.some((part) => holds(part, uid));
    return index.matching(one, today).includes(uid);
  };
  const everybody = index.matching({ kind: 'all', rules: [] }, today);
  expect(everybody).toHaveLength(7);
  fc.assert(
    fc.property(anyRule, (one) => {
      expect(index.matching(one, today)).toEqual(everybody.filter((uid) => holds(one, uid)));
    }),
  );
});

const distances = [
  { typed: 'lowter', word: 'lowther', is: 1 },
  { typed: 'lwo', word: 'lowther', is: 1 },
  { typed: 'lowther', word: 'lowther', is: 0 },
  { typed: 'low', word: 'lowther', is: 0 },
  { typed: 'lotwhre', word: 'lowther', is: 2 },
];
for (const { typed, word, is } of distances) {
  test(`“${typed}” is ${is} from how “${word}” begins`, () =>
    expect(compareBeginning(typed, word, 2)).toBe(is));
}

test('words to find a value by', () => {
  expect(searchWords('Ørsted')).toEqual(['orsted', 'oersted']);
  expect(searchWords('Aaker')).toEqual(['aaker', 'aker']);
  expect(searchWords('plain')).toEqual(['plain']);
});

test('who is near a place: by town, by a card’s own coordinates, never by country alone', () => {
  const at = (lat: number, lon: number) => ({ lat, lon, region: '', population: 1000, isCapital: false });
  const towns = [
    { name: 'Bergen', country: 'NO', ...at(60.39, 5.32) },
    { name: 'Voss', country: 'NO', ...at(60.63, 6.42) },
    { name: 'Oslo', country: 'NO', ...at(59.91, 10.75), isCapital: true },
  ];
  const buoy = { addresses: { a1: { coordinates: 'geo:60.40,5.30' } } };
  const near = indexOf(
    cardOf('In Bergen', inTown('Bergen', 'Norway')),
    cardOf('In Voss', inTown('Voss', 'Norway')),
    cardOf('Somewhere Norwegian', inTown('Nowhere', 'Norway')),
    cardOf('On Buoy', buoy),
  );
  const found = (text: string) =>
    findCards(near, text, { limit: 9, today }).hits.map(({ uid, km }) => `${uid} ${Math.round(km ?? -1)}`);
  // Without a gazetteer only what cards say themselves is known.
  expect(found('near bergen')).toEqual([]);
  near.useGazetteer(new Gazetteer(towns));
  expect(found('near bergen')).toEqual(['In Bergen 0', 'On Buoy 2']);
  expect(found('within 80 km of bergen')).toEqual(['In Bergen 0', 'On Buoy 2', 'In Voss 66']);
  expect(found('voss within 60 miles of bergen')).toEqual(['In Voss 66']);
  expect(found('near oslo')).toEqual([]);
  // A town of the book's before others, and before whoever is called so.
  expect(found('near vos')).toEqual(['In Voss 0']);
  expect(found('near in voss')).toEqual(['In Voss 0']);
  // A card that comes later is known of at once.
  near.add(toSearchDoc(cardOf('New', inTown('Oslo', 'Norway'))));
  expect(found('near oslo')).toEqual(['New 0']);
  expect(near.asksForPlaces()).toBe(false);
});

test('talks limit a search: by when and how; and who is close comes first of those that fit as well', () => {
  const some = indexOf(cardOf('Ada Quast'), cardOf('Bo Quast'), cardOf('Cy Quast'));
  const talk = (day: string, kind: Talk['kind'], uid: string): Talk => ({
    ...{ id: day, kind, day, direction: 'both', with: [uid], said: '' },
  });
  some.putTalks([
    ['Bo Quast', summarise([talk('2026-02-01', 'meeting', 'b'), talk('2026-11-20', 'mail', 'b')])],
    ['Cy Quast', summarise([talk('2025-06-01', 'call', 'c')])],
  ]);
  const found = (text: string) =>
    findCards(some, text, { limit: 9, today }).hits.map(({ uid }) => uid.slice(0, 2));
  expect(found('quast')).toEqual(['Bo', 'Cy', 'Ad']);
  expect(found('quast talked within 30 days')).toEqual(['Bo']);
  expect(found('quast not talked to in the last 3 months')).toEqual(['Cy', 'Ad']);
  expect(found('quast, met this year')).toEqual(['Bo']);
  expect(found('quast, not met this year')).toEqual(['Cy', 'Ad']);
  expect(found('quast called within 2 years')).toEqual(['Cy']);
  expect(found('quast close from 90')).toEqual(['Bo']);
  some.putTalks([['Bo Quast', undefined]]);
  expect(found('quast met this year')).toEqual([]);
});

test('what was said is found: #keywords and the words of talks, as long as they are on record', () => {
  const talk = { id: '1', kind: 'call', day: '2026-11-01', direction: 'out' } as const;
  const one = summarise([{ ...talk, with: ['a'], said: 'The insurance of the viola. #customs' }]);
  const index = new SearchIndex();
  index.add({ uid: 'a', shown: 'Bo Quast', values: [['name', 'Bo Quast']], digits: [] });
  index.putTalks([['a', one]]);
  for (const query of ['insur', 'customs', 'bo viola'])
    expect(index.query(query).map(({ uid, field }) => [uid, field])).toEqual([['a', 'talk']]);
  // A card that changes keeps what was said; a talk that is gone does not.
  index.add({ uid: 'a', shown: 'Bo Quast', values: [['name', 'Bo Quast']], digits: [] });
  expect(index.query('insurance')).toHaveLength(1);
  index.putTalks([['a', undefined]]);
  expect(index.query('insurance')).toEqual([]);
});
