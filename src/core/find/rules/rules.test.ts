import fc from 'fast-check';

import { DAY_KINDS, DOC_KINDS, FIELDS, TALK_WAYS } from './fields';
import { formatRule } from './formatRule';
import { parseLimits, toRule } from './parseLimits';
import { asksForPlaces, isGroup, listsOfRule, parseRule, type Rule, type Test } from './rule';
import { writeLimit } from './writeLimit';

const lists = [
  { uid: 'L1', name: 'Patrons' },
  { uid: 'L2', name: 'Players of this year' },
];
const nameOf = (uid: string) => lists.find((list) => list.uid === uid)?.name;

const word = fc.constantFrom('harbour', 'quay', 'lowther', 'żuraw');
const days = fc.integer({ min: 1, max: 366 });
const plainTest: fc.Arbitrary<Test> = fc.oneof(
  fc.record({ kind: fc.constant('words' as const), field: fc.constantFrom(...FIELDS), value: word }),
  fc.record({ kind: fc.constant('filled' as const), field: fc.constantFrom(...FIELDS, ...DAY_KINDS) }),
  fc.record({ kind: fc.constant('card' as const), card: fc.constantFrom(...DOC_KINDS) }),
  fc.record({ kind: fc.constant('list' as const), list: fc.constantFrom('L1', 'L2') }),
  fc.record({ kind: fc.constant('flag' as const), flag: fc.constantFrom('pinned', 'archived', 'private') }),
  fc.record({
    kind: fc.constant('near' as const),
    place: fc.constantFrom('Wexmere', 'Gdynia'),
    km: fc.integer({ min: 1, max: 2000 }),
  }),
  fc.record({
    kind: fc.constant('since' as const),
    what: fc.constantFrom('added' as const, 'changed' as const),
    days,
  }),
  fc.record({
    ...{
      kind: fc.constant('since' as const),
      what: fc.constantFrom('added' as const, 'changed' as const),
      days,
    },
    until: fc.integer({ min: 0, max: 90 }),
  }),
  fc.record({
    kind: fc.constant('talk' as const),
    how: fc.constantFrom(...TALK_WAYS),
    days: fc.oneof(days, fc.constant('year' as const), fc.constant('ever' as const)),
  }),
  fc.record({
    ...{ kind: fc.constant('talk' as const), how: fc.constantFrom(...TALK_WAYS), days },
    until: fc.integer({ min: 0, max: 90 }),
  }),
  fc.record({
    ...{ kind: fc.constant('coming' as const), day: fc.constantFrom(...DAY_KINDS), days },
    from: fc.integer({ min: 0, max: 90 }),
  }),
  fc.record({
    kind: fc.constant('month' as const),
    day: fc.constantFrom(...DAY_KINDS),
    month: fc.integer({ min: 1, max: 12 }),
  }),
  fc.record({ kind: fc.constantFrom('born' as const, 'age' as const), from: fc.nat(200), to: fc.nat(200) }),
  fc.record({ kind: fc.constant('age' as const), from: fc.nat(200) }),
  fc.record({ kind: fc.constant('born' as const), to: fc.nat(2100) }),
  fc.record({ kind: fc.constant('turning' as const), age: fc.nat(200) }),
  fc.record({ kind: fc.constant('due' as const), days: fc.integer({ min: -1, max: 400 }) }),
  fc.record({ kind: fc.constant('close' as const), from: fc.integer({ min: 1, max: 100 }) }),
  fc.record({ kind: fc.constant('coming' as const), day: fc.constantFrom(...DAY_KINDS), days }),
) as fc.Arbitrary<Test>;
const anyTest = fc.tuple(plainTest, fc.boolean()).map(([test, not]): Test => (not ? { ...test, not } : test));

test('a limit that is picked is written so that it is read as the same limit', () => {
  fc.assert(
    fc.property(anyTest, (limit) => {
      const read = parseLimits(writeLimit(limit, nameOf), { lists });
      expect([writeLimit(limit, nameOf), read]).toEqual([
        writeLimit(limit, nameOf),
        { words: '', tests: [limit] },
      ]);
    }),
    { numRuns: 600 },
  );
});

test('several limits and words in one line are all read', () => {
  fc.assert(
    fc.property(fc.array(anyTest, { minLength: 1, maxLength: 4 }), (tests) => {
      const line = `müller, ${tests.map((one) => writeLimit(one, nameOf)).join(', ')}`;
      expect([line, parseLimits(line, { lists })]).toEqual([line, { words: 'müller', tests }]);
    }),
    { numRuns: 600 },
  );
});

const { rule: anyRule } = fc.letrec<{ rule: Rule }>((tie) => ({
  rule: fc.oneof(
    { depthSize: 'small' },
    anyTest,
    fc.record({
      kind: fc.constantFrom('all' as const, 'any' as const, 'none' as const),
      rules: fc.array(tie('rule'), { maxLength: 3 }),
    }),
  ),
}));

test('a rule comes back from its JSON as it was, its lists and places are known, and it has words', () => {
  fc.assert(
    fc.property(anyRule, (rule) => {
      const read = parseRule(JSON.parse(JSON.stringify(rule)));
      expect(read).toEqual(rule);
      const text = JSON.stringify(rule);
      expect(asksForPlaces(rule)).toBe(text.includes('"near"'));
      expect(listsOfRule(rule).length).toBe(text.split('"kind":"list"').length - 1);
      expect(formatRule(rule, nameOf)).not.toMatch(/undefined|\[object/);
    }),
  );
});

const refused: { name: string; value: unknown }[] = [
  { name: 'nothing', value: undefined },
  { name: 'a kind that nobody knows', value: { kind: 'sometimes', rules: [] } },
  { name: 'a field that nobody knows', value: { kind: 'words', field: 'shoe size', value: '9' } },
  { name: 'a distance round the world', value: { kind: 'near', place: 'Gdynia', km: 40_000 } },
  { name: 'a closeness over 100', value: { kind: 'close', from: 101 } },
  { name: 'rules without an end', value: nested(40) },
];
for (const { name, value } of refused) {
  test(`${name} is no rule`, () => expect(parseRule(value)).toBeUndefined());
}

function nested(depth: number): unknown {
  return depth === 0 ? { kind: 'close', from: 1 } : { kind: 'all', rules: [nested(depth - 1)] };
}

const spoken: { line: string; says: string }[] = [
  { line: 'in Leipzig without mail', says: 'in Leipzig, without mail' },
  { line: 'on patr not tagged press', says: 'on Patrons, not tagged press' },
  { line: 'not talked to in the last 6 months', says: 'not talked to in the last 180 days' },
  { line: 'met this year', says: 'met this year' },
  { line: 'near Bergen', says: 'within 50 km of Bergen' },
  { line: 'birthday within 30 days', says: 'birthday within 30 days' },
];
for (const { line, says } of spoken) {
  test(`“${line}” says “${says}”`, () => {
    const { words, tests } = parseLimits(line, { lists });
    const rule = toRule({ words, tests });
    expect(rule && isGroup(rule) ? formatRule(rule, nameOf) : rule).toBe(says);
  });
}
