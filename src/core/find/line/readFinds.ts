import type { FindOrder } from '../rules/fields';
import type { Rule, Test } from '../rules/rule';
import type { LineBook } from './lineBook';
import { beginsWith, type LineToken } from './lineTokens';
import type { LineContext } from './readActs';
import type { LimitWords, Reading } from './reading';
import { readLimitWords } from './readLimits';

/** Words before what is looked for. */
const LEADS = [
  'find',
  'search for',
  'search',
  'look for',
  'look up',
  'show me',
  'show',
  'list',
  'give me',
  'who is',
  'who are',
  'where is',
];
/** Words that stand for whoever is found. */
const ANYBODY = new Set([
  'who',
  'whose',
  'whom',
  'everyone',
  'everybody',
  'all',
  'those',
  'anyone',
  'somebody',
  'someone',
  'is',
  'are',
  'the',
  'my',
  'has',
  'with',
  'that',
  'i',
  'of',
]);

/** What a line searches for: limits, joined by "and", "or", "but", "not", and words to be found anywhere. */
export function readFinds(tokens: readonly LineToken[], { book, today }: LineContext): Reading[] {
  const lead = LEADS.find(
    (phrase) => beginsWith(tokens, phrase.split(' ')) && tokens.length > phrase.split(' ').length,
  );
  const readings = [readFind(tokens, 0, book, today)];
  if (lead !== undefined) readings.push(readFind(tokens, lead.split(' ').length, book, today));
  return readings.filter((reading) => reading !== undefined);
}

interface Piece {
  readonly rule: Rule;
  /** Whether it is an alternative to the one before. */
  readonly isOr: boolean;
}

function readFind(
  tokens: readonly LineToken[],
  from: number,
  book: LineBook,
  today: string,
): Reading | undefined {
  const pieces: Piece[] = [];
  const words: string[] = [];
  const limits: LimitWords[] = [];
  let order: FindOrder | undefined;
  let explained = from;
  let not = false;
  let notAt = 0;
  let isOr = false;
  let bare = 0;
  let at = from;
  const flush = () => {
    if (words.length === 0) return;
    pieces.push({ rule: { kind: 'words', field: 'any', value: words.join(' ') }, isOr: false });
    words.length = 0;
  };
  while (at < tokens.length) {
    const rest = tokens.slice(at);
    const low = rest[0]?.low ?? '';
    if (low === 'not' && rest[0]?.isQuoted !== true && !readLimitWords(rest, book, today)) {
      not = true;
      notAt = at;
      at += 1;
      explained += 1;
      continue;
    }
    const limit = rest[0]?.isQuoted === true ? undefined : readLimitWords(rest, book, today);
    const isAlternative = isOr && pieces.length > 0;
    if (limit) {
      if (limit.test) {
        flush();
        pieces.push({ rule: turned(limit.test, not), isOr: isAlternative });
        limits.push({ rule: turned(limit.test, not), first: not ? notAt : at, end: at + limit.taken });
        if (limit.isBare === true && !not) bare += 1;
      } else limits.push({ first: at, end: at + limit.taken });
      order = limit.order ?? order;
      at += limit.taken;
      explained += limit.taken;
      [not, isOr] = [false, false];
      continue;
    }
    if (['and', 'but', 'or', ','].includes(low) && at < tokens.length - 1 && at > from) {
      if (low === 'or') {
        flush();
        isOr = true;
      }
      at += 1;
      explained += 1;
      continue;
    }
    // "in london or bristol": the same kind of limit again.
    const before = pieces.at(-1)?.rule;
    if (isAlternative && before) {
      const again = sameKind(before, rest, book);
      if (again) {
        pieces.push({ rule: again.rule, isOr: true });
        limits.push({ rule: again.rule, first: at, end: at + again.taken });
        at += again.taken;
        explained += again.taken;
        [not, isOr] = [false, false];
        continue;
      }
    }
    if (ANYBODY.has(low) && rest[0]?.isQuoted !== true && tokens.length > 1) {
      at += 1;
      explained += 0.9;
      continue;
    }
    words.push(rest[0]?.raw ?? '');
    explained += 0.75;
    at += 1;
  }
  flush();
  // A list's name alone, or a town's, is looked for as words: the list itself is among what is found.
  const isWords = bare > 0 && bare === pieces.length && order === undefined;
  const rule = isWords
    ? joined(pieces.map((piece) => ({ ...piece, rule: asWords(piece.rule, book) })))
    : joined(pieces);
  if (!rule && order === undefined) return undefined;
  return {
    ...{ need: 'find', uids: [], values: [], score: (explained / tokens.length) * 0.93 },
    rule: rule ?? { kind: 'all', rules: [] },
    ...(order === undefined ? {} : { order }),
    ...(isWords || limits.length === 0 ? {} : { limits }),
  };
}

/** What a word alone was before it was taken for a limit. */
function asWords(rule: Rule, book: LineBook): Rule {
  const value =
    rule.kind === 'list' ? book.shown(rule.list).toLowerCase() : rule.kind === 'words' ? rule.value : '';
  return { kind: 'words', field: 'any', value };
}

function turned(test: Test, not: boolean): Test {
  return not ? { ...test, not: test.not !== true } : test;
}

/** Another value for the same kind of limit. */
function sameKind(
  before: Rule,
  rest: readonly LineToken[],
  book: LineBook,
): { rule: Rule; taken: number } | undefined {
  const value = rest[0]?.raw ?? '';
  if (before.kind === 'words') return { rule: { ...before, value }, taken: 1 };
  if (before.kind === 'list') {
    const list = book.list([value]);
    return list && { rule: { ...before, list: list.uid }, taken: 1 };
  }
  return undefined;
}

/** All of them, those joined by "or" as one. */
function joined(pieces: readonly Piece[]): Rule | undefined {
  const groups: Rule[][] = [];
  for (const { rule, isOr } of pieces) {
    const last = groups.at(-1);
    if (isOr && last) last.push(rule);
    else groups.push([rule]);
  }
  const rules = groups.map((group): Rule =>
    group.length === 1 ? (group[0] as Rule) : { kind: 'any', rules: group },
  );
  return rules.length === 0 ? undefined : { kind: 'all', rules };
}
