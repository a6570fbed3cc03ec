import { readFileSync } from 'node:fs';
import path from 'node:path';

import fc from 'fast-check';

import { shownAs } from '@/core/card';
import { generateBook, generateLargeBook } from '@/demo';

import { NamesOfBook } from './lineBook';
import { ACTS } from './lineWords.data';
import { sayReading } from './sayReading';
import { understandLine } from './understandLine';

const today = '2026-11-25';
const cards = generateBook(today);
const book = new NamesOfBook(cards);
const names = new Map(cards.map((card) => [card.uid, shownAs(card)]));
const nameOf = (uid: string) => names.get(uid) ?? uid;
const read = (text: string) => understandLine(text, { book, today });
const say = (text: string) => {
  const [best] = read(text);
  return best ? sayReading(best, nameOf) : 'none';
};

/** Sentences with what they mean; written before the line could read any of them. */
function sentencesOf(name: string): { text: string; means: string }[] {
  return readFileSync(path.join(__dirname, `${name}.txt`), 'utf8')
    .split('\n')
    .filter((line) => line.includes(' | ') && !line.startsWith('#'))
    .map((line) => {
      const at = line.indexOf(' | ');
      return { text: line.slice(0, at), means: line.slice(at + 3) };
    });
}

const SENTENCES = sentencesOf('sentences');
/** These were read for the first time when all of the others were; 143 of 146 were right then. */
const LATER = sentencesOf('later');

test('there are four hundred sentences and more', () =>
  expect(SENTENCES.length + LATER.length).toBeGreaterThanOrEqual(400));

test.each([
  ['sentences', SENTENCES],
  ['later', LATER],
])('of the %s 95 in a hundred mean what they mean, and none does something else', (_, sentences) => {
  const wrong = sentences
    .map(({ text, means }) => ({ text, means, got: say(text) }))
    .filter(({ means, got }) => means !== got);
  expect(wrong.length <= sentences.length * 0.05 ? [] : wrong).toEqual([]);
  const isChange = (said: string) => /^(?:do|fill|new)\b/.test(said);
  expect(wrong.filter(({ means, got }) => isChange(got) && !isChange(means))).toEqual([]);
});

const anySentence = fc.constantFrom(...SENTENCES, ...LATER);

test.each(['new last month', 'new last year', 'neu letzten monat'])('“%s” makes no card', (text) =>
  expect(say(text)).not.toMatch(/^new/),
);

test('"please" changes nothing', () => {
  fc.assert(
    fc.property(anySentence, fc.boolean(), ({ text }, isFirst) => {
      expect(say(isFirst ? `please ${text}` : `${text}, please`)).toBe(say(text));
    }),
    { numRuns: 300 },
  );
});

test('a typo in one word never turns a search into a change', () => {
  const searches = [...SENTENCES, ...LATER].filter(({ means }) => means.startsWith('find '));
  fc.assert(
    fc.property(
      fc.constantFrom(...searches),
      fc.nat(),
      fc.constantFrom(...'aeinrstqx'),
      ({ text }, at, letter) => {
        const place = at % text.length;
        if (/[^a-z]/.test(text.charAt(place))) return;
        const typed = text.slice(0, place) + letter + text.slice(place + 1);
        // A typo may spell somebody's name; that is no longer a typo of a search.
        if (
          typed
            .split(/\s+/)
            .some(
              (word) =>
                !text.split(/\s+/).includes(word) && book.named([word]).some(({ isWhole }) => isWhole),
            )
        )
          return;
        const [best] = read(typed);
        expect([text, best?.need]).not.toEqual([text, 'fill']);
        expect([
          text,
          best?.need === 'do' && ['archive', 'merge', 'private', 'pin'].includes(best.act ?? ''),
        ]).toEqual([text, false]);
      },
    ),
    { numRuns: 1500 },
  );
});

test('the order of values doesn’t matter', () => {
  const values = ['new@example.org', '07700 900123', '#choir', 'on patrons', 'born 3 may 1968'];
  fc.assert(
    fc.property(fc.shuffledSubarray(values, { minLength: 2 }), fc.boolean(), (some, isNew) => {
      const line = (order: readonly string[]) => `${isNew ? 'new Zora Quast' : 'ada'}, ${order.join(', ')}`;
      const [one, other] = [some, some.toReversed()].map((order) => read(line(order))[0]);
      expect(one?.need).toBe(isNew ? 'new' : 'fill');
      expect(other?.uids).toEqual(one?.uids);
      expect(new Set(other?.values.map((value) => JSON.stringify(value)))).toEqual(
        new Set(one?.values.map((value) => JSON.stringify(value))),
      );
    }),
  );
});

test('an example of an act does what it says, on the demo’s book and on a random one', () => {
  for (const { act, example } of ACTS) expect([example, read(example)[0]?.act]).toEqual([example, act]);
  const large = generateLargeBook(300, 5);
  const people = new NamesOfBook(large);
  const somebody = large.filter(
    (card) => card.kind === 'individual' && /^\p{L}+ \p{L}+$/u.test(shownAs(card)),
  );
  for (const { act, first } of ACTS)
    for (const card of somebody.slice(0, 12)) {
      const readings = understandLine(`${first[0] ?? ''} ${shownAs(card).toLowerCase()}`, {
        book: people,
        today,
      });
      expect([act, readings.some((one) => one.act === act && one.uids.includes(card.uid))]).toEqual([
        act,
        true,
      ]);
    }
});

test('any text is read without a fault, and no act is on more people than it names', () => {
  const word = fc.oneof(
    fc.constantFrom(...SENTENCES.flatMap(({ text }) => text.split(' '))),
    fc.string({ unit: 'grapheme', maxLength: 12 }),
  );
  fc.assert(
    fc.property(fc.array(word, { maxLength: 14 }), (words) => {
      const text = words.join(' ');
      for (const { need, uids, score } of read(text)) {
        expect(score).toBeGreaterThanOrEqual(0);
        expect(score).toBeLessThanOrEqual(1);
        if (need === 'do' || need === 'fill') {
          const ands = text.split(/\band\b|&|,/i).length;
          expect(uids.length).toBeLessThanOrEqual(ands);
        }
      }
    }),
    { numRuns: 800 },
  );
});

test('a name that several have is asked for: none of them is surer than the others', () => {
  const readings = read('call hamish');
  expect(readings.filter(({ act }) => act === 'call').map(({ uids }) => nameOf(uids[0] ?? ''))).toEqual(
    expect.arrayContaining(['Hamish Tait', 'Hamish Larkin', 'Hamish Pell']),
  );
  expect(new Set(readings.filter(({ act }) => act === 'call').map(({ score }) => score)).size).toBe(1);
});
