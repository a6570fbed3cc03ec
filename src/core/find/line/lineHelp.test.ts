import { readFileSync } from 'node:fs';
import path from 'node:path';

import fc from 'fast-check';

import { shownAs } from '@/core/card';
import { isList, isRuleList, memberUids } from '@/core/lists';
import { generateBook, generateLargeBook } from '@/demo';

import { completeLine } from './completeLine';
import { examplesFor } from './examplesFor';
import { NamesOfBook } from './lineBook';
import { partsOf } from './lineParts';
import { tokensOf } from './lineTokens';
import { othersOf } from './othersOf';
import { understandLine } from './understandLine';

const today = '2026-11-25';
const cards = generateBook(today);
const context = { book: new NamesOfBook(cards), today };
const uidOf = (name: string) => cards.find((card) => shownAs(card) === name)?.uid ?? '';

const SENTENCES = ['sentences', 'later'].flatMap((name) =>
  readFileSync(path.join(__dirname, `${name}.txt`), 'utf8')
    .split('\n')
    .filter((line) => line.includes(' | ') && !line.startsWith('#'))
    .map((line) => line.slice(0, line.indexOf(' | '))),
);
const anySentence = fc.constantFrom(...SENTENCES);

function partsIn(text: string) {
  const [best] = understandLine(text, context);
  return best ? partsOf(text, best, context) : [];
}
const marked = (text: string) =>
  partsIn(text).map(({ from, to, kind, says }) => `${text.slice(from, to)} = ${kind} ${says}`);

test.each([
  ['put ada on patrons', ['put = verb fill in', 'ada = who Ada Lowther', 'on patrons = value list']],
  [
    'please meet ada tomorrow 10:00 at the net loft',
    [
      ...['meet = verb meet', 'ada = who Ada Lowther', 'tomorrow = value day', '10:00 = value time'],
      'at the net loft = value place',
    ],
  ],
  [
    'birthday in december but not in london',
    ['birthday in december = limit birthday in December', 'not in london = limit not in london'],
  ],
  ["ada's number", ["ada's = who Ada Lowther", 'number = value number']],
  [
    'violinists in germany closest first',
    [
      ...['violinists = limit post “violin”', 'in germany = limit in germany'],
      'closest first = limit closest first',
    ],
  ],
  ['devices', ['devices = verb go there']],
  ['export patrons as a table', ['export = verb export', 'patrons = who Patrons', 'as a table = value file']],
  // Words that may be anything are not marked.
  ['lowther', []],
])('“%s” is marked by what was understood', (text, parts) => expect(marked(text)).toEqual(parts));

test.each(['please ada', 'ada, please', '  can you please a  ', 'i want to ask as'])(
  'in “%s” each word stands where it was typed',
  (text) => {
    for (const { from, to, raw } of tokensOf(text))
      expect([text.slice(from, to), text[from - 1] ?? ' ']).toEqual([raw, ' ']);
  },
);

test('parts stand in the order of the line, apart from each other, and begin and end with a letter or sign of theirs', () => {
  fc.assert(
    fc.property(fc.oneof(anySentence, fc.string({ maxLength: 60 })), (text) => {
      const parts = partsIn(text);
      parts.forEach(({ from, to }, i) => {
        expect(from).toBeGreaterThanOrEqual(parts[i - 1]?.to ?? 0);
        expect(to).toBeGreaterThan(from);
        expect(to).toBeLessThanOrEqual(text.length);
        expect(text.slice(from, to)).toBe(text.slice(from, to).trim());
      });
    }),
  );
});

const othersIn = (text: string, words: string) => {
  const part = partsIn(text).find(({ from, to }) => text.slice(from, to) === words);
  if (!part) throw new Error(`${words} is no part of “${text}”`);
  return othersOf(text, part, context).map(({ line }) => line);
};

test.each([
  ['archive hamish', 'hamish', ['archive Hamish Larkin', 'archive Hamish Pell']],
  ['patrons in london', 'patrons', ['tag Patrons in london', '"Patrons" in london']],
  ["ada's number", 'number', ["ada's work number", "ada's private number", "ada's mobile", "ada's fax"]],
  ['birthday in december but not in london', 'not in london', ['birthday in december but "london"']],
])('in “%s”, “%s” can be something else', (text, words, others) =>
  expect(othersIn(text, words)).toEqual(others),
);

test('what else a part can be is read as something else, as surely', () => {
  fc.assert(
    fc.property(anySentence, (text) => {
      const now = JSON.stringify({ ...understandLine(text, context)[0], score: 0 });
      for (const part of partsIn(text))
        for (const { line } of othersOf(text, part, context)) {
          const [best] = understandLine(line, context);
          expect(best?.score).toBeGreaterThanOrEqual(0.75);
          expect(JSON.stringify({ ...best, score: 0 })).not.toBe(now);
        }
    }),
    { numRuns: 60 },
  );
});

test('a word in quotes is a word to be found and nothing else', () => {
  const [best] = understandLine('"ada" "patrons"', context);
  expect(best).toMatchObject({
    need: 'find',
    rule: { kind: 'all', rules: [{ kind: 'words', field: 'any', value: 'ada patrons' }] },
  });
  for (const text of ['archive "ada"', 'put "ada" on patrons', 'call "ada"'])
    expect(understandLine(text, context).filter(({ need }) => need === 'do' || need === 'fill')).toEqual([]);
});

test.each([
  ['write to pa', 'trons'],
  ['call ad', 'a Lowther'],
  ['put ada on p', 'layers of this year'],
  ['birthday in d', 'ecember'],
  ['violinists in ger', 'many'],
  ['not ta', 'lked to for a year'],
  ['remind me to call ada on f', 'riday'],
  ['götz mob', 'ile'],
  ['remind ', 'me to call'],
  // What says something already, or nothing, is left alone.
  ['ada ', undefined],
  ['call', undefined],
  ['xyzzy q', undefined],
  ['', undefined],
])('“%s” goes on: %s', (text, rest) => expect(completeLine(text, context)?.rest).toBe(rest));

test('who was used lately comes first', () => {
  const [hamish, other] = ['Hamish Pell', 'Hamish Larkin'].map(uidOf);
  expect(completeLine('call ham', context, [hamish ?? '', other ?? ''])?.rest).toBe('ish Pell');
  expect(completeLine('call ham', context, [other ?? '', hamish ?? ''])?.rest).toBe('ish Larkin');
  expect(completeLine('call ', context, [hamish ?? ''])?.rest).toBe('Hamish Pell');
  expect(completeLine('call h', context, [hamish ?? ''])?.rest).toBe('amish Pell');
});

test('a line completed as often as it can be ends, and each step goes on with what is there', () => {
  const books = [context, { book: new NamesOfBook(generateLargeBook(400)), today }];
  fc.assert(
    fc.property(anySentence, fc.nat(), fc.constantFrom(...books), (sentence, at, where) => {
      let text = sentence.slice(0, 1 + (at % sentence.length));
      for (let step = 0; step < 20; step += 1) {
        const rest = completeLine(text, where)?.rest;
        if (rest === undefined) return;
        expect(rest.trimEnd()).toBe(rest);
        expect(rest).not.toBe('');
        text += rest;
      }
      throw new Error(`“${text}” goes on for ever`);
    }),
  );
});

test('an example puts nobody on a list that they are on already, where there is another', () => {
  const lists = cards.filter((card) => isList(card) && !isRuleList(card));
  const people = cards.filter((card) => card.kind !== 'org' && !isList(card)).map(({ uid }) => uid);
  for (const person of people) {
    const [first = ''] = examplesFor(context, [person]);
    const list = lists.find((one) => first.endsWith(` on ${shownAs(one)}`));
    if (!list || lists.every((one) => memberUids(one).includes(person))) continue;
    expect([first, memberUids(list).includes(person)]).toEqual([first, false]);
  }
});
