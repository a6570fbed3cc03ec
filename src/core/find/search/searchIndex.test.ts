import fc from 'fast-check';

import { foldedWords } from '@/core/base';
import { type Card, newCard, parseName } from '@/core/card';

import { SearchIndex } from './searchIndex';
import { toSearchDoc } from './toSearchDoc';

function cardOf(name: string, more: Partial<Card> = {}): Card {
  const parsed = parseName(name);
  return { ...newCard(`uid:${name}`, '2026-01-01T00:00:00Z'), ...(parsed ? { name: parsed } : {}), ...more };
}

function indexOf(...cards: Card[]): SearchIndex {
  const index = new SearchIndex();
  for (const card of cards) index.add(toSearchDoc(card, 'GB'));
  return index;
}

const book = [
  cardOf('Jean-Luc Lévêque', { addresses: { a1: { components: [{ kind: 'locality', value: 'Sète' }] } } }),
  cardOf('Łukasz Brzeg', { phones: { p1: { number: '+48 58 555 01 42' } } }),
  cardOf('Søren Ångström', { organizations: { g1: { name: 'Brine & Bellows' } } }),
  cardOf('Ada Lowther', {
    phones: { p1: { number: '020 7946 0958' } },
    emails: { e1: { address: 'ada@lowther.example' } },
  }),
  cardOf('田中 陽子', { nicknames: { n1: { name: 'Yōko' } } }),
  cardOf('Großmann'),
];
const cases = [
  { name: 'first letters of a surname', query: 'lev', found: ['Jean-Luc Lévêque'] },
  { name: 'marks left off', query: 'angs', found: ['Søren Ångström'] },
  { name: 'letters that have no mark to leave off', query: 'lukasz soren', found: [] },
  { name: 'ł as l', query: 'luk', found: ['Łukasz Brzeg'] },
  { name: 'ß as ss', query: 'grossm', found: ['Großmann'] },
  { name: 'a town', query: 'sete', found: ['Jean-Luc Lévêque'] },
  { name: 'an organisation and a name, in any order', query: 'bell sor', found: ['Søren Ångström'] },
  { name: 'a part of a number', query: '55501', found: ['Łukasz Brzeg'] },
  { name: 'a number spaced in another way', query: '58 55 501', found: ['Łukasz Brzeg'] },
  { name: 'a number as dialled from abroad', query: '+44 20 79', found: ['Ada Lowther'] },
  { name: 'the same number as dialled at home', query: '020 794', found: ['Ada Lowther'] },
  { name: 'a mail address by its domain', query: 'lowther.ex', found: ['Ada Lowther'] },
  { name: 'a name in Han', query: '田', found: ['田中 陽子'] },
  { name: 'a nickname without its mark', query: 'yoko', found: ['田中 陽子'] },
  { name: 'signs only', query: ' -&', found: [] },
  { name: 'nothing', query: '', found: [] },
];
for (const { name, query, found } of cases) {
  test(`finds by ${name}`, () => {
    expect(
      indexOf(...book)
        .query(query)
        .map(({ uid }) => uid),
    ).toEqual(found.map((one) => `uid:${one}`));
  });
}

const others = [
  cardOf('Götz Lind'),
  cardOf('Goetz Ahlers'),
  cardOf('Ada Ek'),
  cardOf('Maria Ada Ek', { 'cordialis.example:pinned': true }),
  cardOf('Berta Kurz', { phones: { p1: { number: '030 23125 789' } } }),
  cardOf('Иван Щукин'),
  cardOf('Νίκος Παπαδόπουλος'),
  cardOf('김민수'),
  cardOf('이 서연'),
  cardOf('Ivan Petrov'),
  cardOf('田中 陽子'),
];
const best = [
  { name: 'the marked name before the respelt one', query: 'gotz', first: 'Götz Lind' },
  { name: 'the respelt one before the marked one', query: 'goetz', first: 'Goetz Ahlers' },
  { name: 'an exact name before a longer one that holds it', query: 'Ada Ek', first: 'Ada Ek' },
  { name: 'a number of another country kept as at home', query: '+49 30 23125 789', first: 'Berta Kurz' },
  { name: 'Cyrillic by its Latin spelling', query: 'shchukin', first: 'Иван Щукин' },
  { name: 'Cyrillic by another Latin spelling', query: 'schukin', first: 'Иван Щукин' },
  { name: 'Latin letters by a Cyrillic spelling', query: 'Петров', first: 'Ivan Petrov' },
  { name: 'Greek by its Latin spelling', query: 'papadop', first: 'Νίκος Παπαδόπουλος' },
  { name: 'Hangul by its Latin spelling', query: 'kim minsu', first: '김민수' },
  { name: 'Hangul by a surname as it is commonly written', query: 'lee', first: '이 서연' },
  { name: 'Hangul with a space that the card hasn’t got', query: '김 민수', first: '김민수' },
  { name: 'Hangul without the space of the card', query: '이서연', first: '이 서연' },
  { name: 'Han without the space of the card', query: '田中陽子', first: '田中 陽子' },
];
for (const { name, query, first } of best)
  test(`first comes ${name}`, () => {
    const [hit] = indexOf(...others).query(query);
    expect([hit?.uid, hit?.isNear]).toEqual([`uid:${first}`, undefined]);
  });

test('what was found only with a typo says so; other writings of the same do not', () => {
  const nearOf = (query: string) =>
    indexOf(...book)
      .query(query)
      .map(({ isNear }) => isNear === true);
  expect(nearOf('lowthre')).toEqual([true]);
  expect(nearOf('ada lowthre')).toEqual([true]);
  for (const query of ['lowther', 'ada', 'levêque', 'soeren', '0207946', 'sete jean'])
    expect([query, nearOf(query)]).toEqual([query, [false]]);
});

test('a name counts more than a town, a whole word more than a beginning', () => {
  const index = indexOf(
    cardOf('Bo Ek', { addresses: { a1: { components: [{ kind: 'locality', value: 'Lund' }] } } }),
    cardOf('Eva Lundgren'),
    cardOf('Karl Lund'),
  );
  expect(index.query('lund').map(({ uid }) => uid)).toEqual([
    'uid:Karl Lund',
    'uid:Eva Lundgren',
    'uid:Bo Ek',
  ]);
});

test('a hit says which value it was found in', () => {
  expect(indexOf(...book).query('5550')[0]).toMatchObject({ field: 'number', value: '+48 58 555 01 42' });
  expect(indexOf(...book).query('ada')[0]).toMatchObject({ field: 'name' });
});

test('a changed card is found by its new words only, a removed one not at all', () => {
  const index = indexOf(cardOf('Ada Lowther'));
  index.add({ ...toSearchDoc(cardOf('Ada Lowther')), shown: 'Ada Swan', values: [['name', 'Ada Swan']] });
  expect([index.query('lowther').length, index.query('swan').length, index.size]).toEqual([0, 1, 1]);
  index.remove('uid:Ada Lowther');
  expect([index.query('swan').length, index.size]).toEqual([0, 0]);
});

test('finds just what looking through every word finds', () => {
  const word = fc.stringMatching(/^[bcdé]{1,3}$/);
  const cards = fc.uniqueArray(fc.array(word, { minLength: 1, maxLength: 3 }), {
    maxLength: 30,
    selector: String,
  });
  fc.assert(
    fc.property(cards, fc.array(word, { minLength: 1, maxLength: 2 }), (names, query) => {
      const index = new SearchIndex();
      for (const name of names) {
        const shown = name.join(' ');
        index.add({ uid: shown, shown, values: [['name', shown]], digits: [] });
      }
      const naive = names
        .map((name) => name.join(' '))
        .filter((shown) =>
          query.every((q) => foldedWords(shown).some((w) => w.startsWith(foldedWords(q)[0] ?? ''))),
        );
      expect(new Set(index.query(query.join(' '), { limit: 1000 }).map(({ uid }) => uid))).toEqual(
        new Set(naive),
      );
    }),
    { numRuns: 200 },
  );
});
