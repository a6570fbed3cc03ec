import fc from 'fast-check';

import { editText, insertCondition, insertField, piecesIn } from './pieces';

const TEXT = 'Dear {given|friend}, {if post}as {post}{end} you know.';
const without = (from: number, to: number) => TEXT.slice(0, from) + TEXT.slice(to);

test('fields, conditions and their ends are found, with what belongs together', () => {
  expect(piecesIn(TEXT).map(({ from, to }) => TEXT.slice(from, to))).toEqual([
    '{given|friend}',
    '{if post}',
    '{post}',
    '{end}',
  ]);
  const [, opened, , ended] = piecesIn(TEXT);
  expect([opened?.other, ended?.other]).toEqual([ended?.from, opened?.from]);
  expect(piecesIn('{nothing of ours} {end}')).toEqual([]);
});

test('a field that is cut into goes as a whole, a condition with its other end', () => {
  const brace = TEXT.indexOf('}');
  expect(editText(TEXT, without(brace, brace + 1))).toEqual({
    text: 'Dear , {if post}as {post}{end} you know.',
    caret: 5,
  });
  const end = TEXT.indexOf('{end}');
  expect(editText(TEXT, without(end + 4, end + 5)).text).toBe('Dear {given|friend}, as {post} you know.');
});

test('what is typed into a field comes after it', () => {
  const inside = TEXT.indexOf('given') + 2;
  const typed = `${TEXT.slice(0, inside)}x${TEXT.slice(inside)}`;
  expect(editText(TEXT, typed).text).toContain('{given|friend}x,');
});

test('a field takes the place of what is selected; a condition goes around it', () => {
  expect(insertField({ text: 'Dear you' }, { start: 5, end: 8 }, 'given', 'fri{end|s')).toEqual({
    text: 'Dear {given|fri end s}',
    caret: 22,
  });
  expect(insertCondition({ text: 'from afar' }, { start: 5, end: 9 }, 'town', true).text).toBe(
    'from {if town}afar{end}',
  );
  expect(insertCondition({ text: '' }, { start: 0, end: 0 }, 'town', false)).toEqual({
    text: '{if not town}{end}',
    caret: 13,
  });
});

test('nothing is put into a field that the user has made', () => {
  const text = { text: 'at {Table number}', context: { labels: ['Table number'] } };
  expect(insertField(text, { start: 8, end: 8 }, 'given').text).toBe('at {Table number}{given}');
});

test('whatever is cut out and typed: every field stands whole or not at all, and conditions have both ends', () => {
  const piece = fc.constantFrom('{given}', '{post|-}', '{if town}here{end}', '{if not mail}{number}{end}');
  const text = fc.array(fc.oneof(piece, fc.stringMatching(/^[a-z ,.]{0,6}$/)), { maxLength: 8 });
  fc.assert(
    fc.property(text, fc.nat(), fc.nat(), fc.stringMatching(/^[a-z]{0,3}$/), (parts, a, b, typed) => {
      const before = parts.join('');
      const [from, to] = [a % (before.length + 1), b % (before.length + 1)].sort((x, y) => x - y);
      const { text: now, caret } = editText(before, before.slice(0, from) + typed + before.slice(to));
      const pieces = piecesIn(now);
      const rest = pieces.reduceRight((left, one) => left.slice(0, one.from) + left.slice(one.to), now);
      expect(rest).not.toMatch(/[{}]/);
      expect(pieces.filter(({ kind }) => kind === 'if')).toHaveLength(
        pieces.filter(({ kind }) => kind === 'end').length,
      );
      expect(caret).toBeLessThanOrEqual(now.length);
    }),
    { numRuns: 2000 },
  );
});
