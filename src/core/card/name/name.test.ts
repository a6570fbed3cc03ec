// Rules for names are common practice; where a standard or CLDR gives the value it is named.
import fc from 'fast-check';

import type { Card } from '../schema/types';
import { deriveName, formatName } from './formatName';
import { indexLetter } from './indexLetter';
import { initialsOf } from './initialsOf';
import { splitParticles } from './nameParts';
import { parseName } from './parseName';
import { sortText } from './sortText';
import { type NameStyle, styledName } from './styledName';

const kinds: Record<string, string> = {
  t: 'title',
  g: 'given',
  m: 'given2',
  s: 'surname',
  z: 'surname2',
  j: 'generation',
  c: 'credential',
};
const cases = [
  { line: 'Ada Lowther', parts: 'g:Ada s:Lowther' },
  { line: 'Dr. Ada Mary Lowther', parts: 't:Dr. g:Ada m:Mary s:Lowther' },
  { line: 'Prof. Dr. Ada Lowther PhD', parts: 't:Prof. t:Dr. g:Ada s:Lowther c:PhD' },
  { line: 'Don Ashby', parts: 'g:Don s:Ashby' },
  { line: 'Don Ernesto García', parts: 't:Don g:Ernesto s:García' },
  { line: 'John Stevenson Jr.', parts: 'g:John s:Stevenson j:Jr.' },
  { line: 'John Stevenson III', parts: 'g:John s:Stevenson j:III' },
  { line: 'Jan van der Berg', parts: 'g:Jan s:van_der_Berg' },
  { line: 'Ludwig Otto von Bülow', parts: 'g:Ludwig m:Otto s:von_Bülow' },
  { line: 'Maria de la Cruz', parts: 'g:Maria s:de_la_Cruz' },
  { line: 'José Ortega y Gasset', parts: 'g:José s:Ortega_y_Gasset' },
  { line: 'E. E. Marsh', parts: 'g:E. m:E. s:Marsh' },
  { line: 'Lowther, Ada', parts: 'g:Ada s:Lowther' },
  { line: 'van Dijk, Piet Hein', parts: 'g:Piet m:Hein s:van_Dijk' },
  { line: 'Jane Doe, M.D., MBA', parts: 'g:Jane s:Doe c:M.D. c:MBA' },
  { line: 'Rosalind', parts: 'g:Rosalind' },
  { line: 'Yo-Yo Ma', parts: 'g:Yo-Yo s:Ma' },
  { line: '田中 陽子', parts: 's:田中 g:陽子' },
  { line: '田中陽子', parts: 's:田中 g:陽子' },
  { line: '王小明', parts: 's:王 g:小明' },
  { line: '欧阳修文', parts: 's:欧阳 g:修文' },
  { line: '김민준', parts: 's:김 g:민준' },
  { line: '남궁민수', parts: 's:남궁 g:민수' },
  { line: 'Иван Петров', parts: 'g:Иван s:Петров' },
  { line: 'van Gogh', parts: 's:van_Gogh' },
];
for (const { line, parts } of cases) {
  test(`"${line}" is read as ${parts}`, () => {
    const components = parseName(line)?.components?.filter(({ kind }) => kind !== 'separator');
    const expected = parts.split(' ').map((part) => ({
      kind: kinds[part.charAt(0)],
      value: part.slice(2).replaceAll('_', ' '),
    }));
    expect(components).toEqual(expected);
  });
}

test('Hungarian names begin with the surname when told so', () => {
  expect(parseName('Kovács János', { familyFirst: true })?.components?.[0]).toEqual({
    kind: 'surname',
    value: 'Kovács',
  });
});

test('Spanish names end with two surnames when told so', () => {
  const kindsOf = parseName('María Pérez Ramos', { doubleSurname: true })?.components?.map(
    ({ kind }) => kind,
  );
  expect(kindsOf).toEqual(['given', 'surname', 'surname2']);
});

test('an empty line is no name', () => expect(parseName('  ')).toBeUndefined());

test('a typed name without a comma is shown as it was typed, in any script', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 30 }), (line) => {
      const plain = line.normalize('NFC').replace(/[,،]/g, '').trim().replace(/\s+/g, ' ');
      expect(formatName(parseName(plain))).toBe(plain);
    }),
    { numRuns: 300 },
  );
  for (const { line } of cases.filter(({ line: one }) => !/^\S+( \S+)?, [A-Z][a-z]/.test(one))) {
    expect(formatName(parseName(line))).toBe(line);
  }
});

test('"Surname, Given" is shown turned round', () => {
  expect(formatName(parseName('van Dijk, Piet'))).toBe('Piet van Dijk');
});

test('RFC 9553 §2.2.1.3: full wins, else ordered components with their separators', () => {
  const components = [
    { kind: 'given', value: 'Robert' },
    { kind: 'given2', value: 'Pau' },
    { kind: 'surname', value: 'Shou Chang' },
  ];
  expect(formatName({ components, isOrdered: true })).toBe('Robert Pau Shou Chang');
  expect(formatName({ components, full: 'Bob' })).toBe('Bob');
  expect(deriveName({ components: [...components].reverse() })).toBe('Robert Pau Shou Chang');
});

const particles = [
  { surname: 'van der Berg', stem: 'Berg' },
  { surname: "d'Arc", stem: 'Arc' },
  { surname: 'al-Amin', stem: 'Amin' },
  { surname: 'Vance', stem: 'Vance' },
  { surname: 'de', stem: 'de' },
];
for (const { surname, stem } of particles) {
  test(`"${surname}" sorts by ${stem} where particles do not count`, () => {
    expect(splitParticles(surname).stem).toBe(stem);
  });
}

function named(line: string, kind?: string): Card {
  const name = parseName(line);
  return { '@type': 'Card', version: '1.0', uid: line, ...(kind ? { kind } : {}), ...(name ? { name } : {}) };
}

test('a book sorts by surname, particles as set, in CLDR’s order for the locale', () => {
  const cards = [
    'Zoë Ek',
    'Piet van Dijk',
    'Åke Öberg',
    'Ada Lowther',
    'Émile Zola',
    'Eva Eklund',
    'Anna Äng',
  ].map((line) => named(line));
  const sorted = (locale: string, particlesCount: boolean) => {
    const collator = new Intl.Collator(locale);
    const key = (card: Card) => sortText(card, { by: 'surname', particlesCount });
    return [...cards]
      .sort((a, b) => collator.compare(key(a), key(b)))
      .map(({ uid }) => uid.split(' ').at(-1));
  };
  // CLDR: English files Ä under A, Ö under O; Swedish has Ä and Ö after Z.
  expect(sorted('en', false)).toEqual(['Äng', 'Dijk', 'Ek', 'Eklund', 'Lowther', 'Öberg', 'Zola']);
  expect(sorted('en', true)).toEqual(['Äng', 'Ek', 'Eklund', 'Lowther', 'Öberg', 'Dijk', 'Zola']);
  expect(sorted('sv', false)).toEqual(['Dijk', 'Ek', 'Eklund', 'Lowther', 'Zola', 'Äng', 'Öberg']);
});

const letters = [
  { text: 'émile', locale: 'en', letter: 'E' },
  { text: 'Ångström', locale: 'en', letter: 'A' },
  { text: 'Ångström', locale: 'sv', letter: 'Å' },
  { text: '4 Hands', locale: 'en', letter: '#' },
  { text: '"Quoted"', locale: 'en', letter: 'Q' },
  { text: 'Ёлкин', locale: 'en', letter: 'Е' },
  { text: '田中', locale: 'en', letter: '漢' },
  // Unicode §3.12: U+AE40 has the leading consonant U+3131.
  { text: '김민준', locale: 'en', letter: 'ㄱ' },
  { text: 'タナカ', locale: 'en', letter: 'た' },
  { text: '', locale: 'en', letter: '#' },
];
for (const { text, locale, letter } of letters) {
  test(`"${text}" stands under ${letter} in ${locale}`, () => {
    expect(indexLetter(text, new Intl.Collator(locale, { sensitivity: 'base' }))).toBe(letter);
  });
}

const styles: { line: string; order: NameStyle['order']; length: NameStyle['length']; shown: string }[] = [
  { line: 'Dr Ada Mary Lowther', order: 'written', length: 'full', shown: 'Dr Ada Mary Lowther' },
  { line: 'Dr Ada Mary Lowther', order: 'written', length: 'plain', shown: 'Ada Lowther' },
  { line: 'Dr Ada Mary Lowther', order: 'written', length: 'initial', shown: 'A. Lowther' },
  {
    line: 'Dr Ada Mary Lowther PhD',
    order: 'surnameFirst',
    length: 'full',
    shown: 'Lowther, Dr Ada Mary PhD',
  },
  { line: 'Piet van Dijk', order: 'surnameFirst', length: 'plain', shown: 'van Dijk, Piet' },
  { line: 'Lowther, Ada', order: 'givenFirst', length: 'full', shown: 'Ada Lowther' },
  { line: 'Jean-Luc Lévêque', order: 'givenFirst', length: 'initial', shown: 'J.-L. Lévêque' },
  { line: '田中 陽子', order: 'surnameFirst', length: 'initial', shown: '田中 陽子' },
  { line: '김민준', order: 'written', length: 'plain', shown: '김민준' },
  { line: '김민준', order: 'givenFirst', length: 'full', shown: '민준 김' },
  { line: 'Rosalind', order: 'surnameFirst', length: 'initial', shown: 'Rosalind' },
  { line: 'ليلى حداد', order: 'written', length: 'initial', shown: 'ليلى حداد' },
];
for (const { line, order, length, shown } of styles) {
  test(`"${line}" is shown as "${shown}" (${order}, ${length})`, () => {
    expect(styledName(named(line), { order, length })).toBe(shown);
  });
}

test('an organisation is never put the other way round', () => {
  const card = named('Harbour Music', 'org');
  expect(styledName(card, { order: 'surnameFirst', length: 'initial' })).toBe('Harbour Music');
});

const initials = [
  { line: 'Jan van der Berg', letters: 'JB' },
  { line: 'Rosalind', letters: 'R' },
  { line: '田中 陽子', letters: '田' },
  { line: 'Brine & Bellows', kind: 'org', letters: 'BB' },
];
for (const { line, kind, letters: expected } of initials) {
  test(`"${line}" is drawn as ${expected}`, () => expect(initialsOf(named(line, kind))).toBe(expected));
}
