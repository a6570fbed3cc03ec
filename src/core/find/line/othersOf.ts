import { texts } from '@/texts/find/lineParts';

import { isGroup } from '../rules/rule';
import type { LinePart } from './lineParts';
import type { LineContext } from './readActs';
import { LEAST_SCORE, meaningOf } from './reading';
import { understandLine } from './understandLine';

/** Something else that some words of a line can be. */
export interface OtherPart {
  readonly says: string;
  /** The whole line, written so that it means this. */
  readonly line: string;
}

const MOST = 6;

/** Kinds of numbers and of mail, as they are typed before them. */
const KINDS: Readonly<Record<string, readonly string[]>> = {
  number: ['number', 'work number', 'private number', 'mobile', 'fax'],
  mail: ['mail', 'work mail', 'private mail'],
};

/**
 * What else a part of a line can be: somebody else of that name, a word to be found, a place, a tag, another kind of
 * number. Each is said by the line itself, and has been tried.
 */
export function othersOf(text: string, part: LinePart, context: LineContext): OtherPart[] {
  const typed = text.slice(part.from, part.to);
  const put = (words: string) => `${text.slice(0, part.from)}${words}${text.slice(part.to)}`;
  const seen = new Set(understandLine(text, context).slice(0, 1).map(meaningOf));
  return [...people(part, typed, context), ...values(part, typed), ...limits(part, typed, context)]
    .map(({ says, words }) => ({ says, line: put(words) }))
    .filter(({ line }) => {
      const [best] = understandLine(line, context);
      if (!best || best.score < LEAST_SCORE) return false;
      const meaning = meaningOf(best);
      return !seen.has(meaning) && seen.add(meaning);
    })
    .slice(0, MOST);
}

interface Other {
  readonly says: string;
  readonly words: string;
}

/** Others of that name, by the whole of theirs. */
function people(part: LinePart, typed: string, { book }: LineContext): Other[] {
  if (part.kind !== 'who') return [];
  const words = typed.replace(/['’]s?$/u, '').split(/\s+/);
  const isOwner = /['’]s?$/u.test(typed);
  return book
    .named(words)
    .filter(({ uid }) => uid !== part.uid)
    .map(({ uid }) => ({ says: book.shown(uid), words: `${book.shown(uid)}${isOwner ? "'s" : ''}` }));
}

function values({ kind, value }: LinePart, typed: string): Other[] {
  if (kind !== 'value' || !value) return [];
  const [plain = ''] = value.field.split(':');
  return (KINDS[plain] ?? []).map((word) => ({
    says: texts.as(word),
    words: value.value === '' ? word : `${word} ${typed}`,
  }));
}

function limits({ kind, rule }: LinePart, typed: string, { book }: LineContext): Other[] {
  if (kind !== 'limit') return [];
  const said =
    rule?.kind === 'words' ? rule.value : rule?.kind === 'list' ? book.shown(rule.list) : undefined;
  const quoted = (words: string) =>
    words
      .split(/\s+/)
      .map((word) => `"${word.replace(/"/g, '')}"`)
      .join(' ');
  if (said === undefined) return [{ says: texts.asWord(typed), words: quoted(typed) }];
  const list = book.list(said.split(' '));
  const others = [
    ...(book.hasPlace([said]) ? [{ says: texts.inPlace(said), words: `in ${said}` }] : []),
    ...(book.hasOrganisation([said]) ? [{ says: texts.atOrganisation(said), words: `at ${said}` }] : []),
    ...(book.hasTag(said) ? [{ says: texts.tagged(said), words: `tag ${said}` }] : []),
    ...(list ? [{ says: texts.onList(book.shown(list.uid)), words: `on ${book.shown(list.uid)}` }] : []),
  ];
  const isNot = rule !== undefined && !isGroup(rule) && rule.not === true;
  return [
    ...others.map(({ says, words }) =>
      isNot ? { says: texts.not(says), words: `not ${words}` } : { says, words },
    ),
    { says: texts.asWord(said), words: quoted(said) },
  ];
}
