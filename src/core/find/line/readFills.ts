import type { LineBook } from './lineBook';
import { beginsWith, type LineToken, rawOf } from './lineTokens';
import { allValues, fieldAt } from './lineValues';
import { KIND_WORDS, QUESTIONS } from './lineWords.data';
import type { LineContext } from './readActs';
import type { LineValue, Reading } from './reading';
import { type Who, whoIn } from './who';

/** Whom some words name, with a whole word at least: only so is anything changed. */
function sureWho(tokens: readonly LineToken[], book: LineBook): Who[] {
  return whoIn(tokens, book).filter(({ isSure }) => isSure);
}

/** Verbs that only say that something is filled in. */
const VERBS = ['put', 'add', 'set', 'give', 'change', 'update', 'remember', 'enter', 'note', 'move'];
/** Names have so many words at most. */
const MOST_WORDS = 7;

function fill(who: Who, values: readonly LineValue[], score: number): Reading {
  return { need: 'fill', uids: who.uids, values, score: score * who.sureness };
}

/** Everything that fills something in on cards that there are. */
export function readFills(tokens: readonly LineToken[], context: LineContext): Reading[] {
  const { book } = context;
  const isVerb = VERBS.includes(tokens[0]?.low ?? '') && tokens.length > 2;
  const rest = isVerb ? tokens.slice(1) : tokens;
  return [
    ...readRemovals(tokens, book),
    ...readOpeners(tokens, book),
    ...readTagging(tokens, book),
    ...(isVerb ? whoThenValues(rest, book, 0.97) : []),
    ...whoThenValues(tokens, book, 0.96),
    ...valuesThenWho(rest, book, isVerb ? 0.97 : 0.94),
    ...readFieldOf(rest, book),
    ...readNotes(tokens, book),
  ];
}

/** "ada new@example.org", "ada's new mail is …": the longest name that leaves nothing but values. */
function whoThenValues(tokens: readonly LineToken[], book: LineBook, score: number): Reading[] {
  for (let count = Math.min(MOST_WORDS, tokens.length - 1); count > 0; count -= 1) {
    const who = sureWho(tokens.slice(0, count), book).filter(({ isList }) => !isList);
    if (who.length === 0) continue;
    const values = allValues(tokens.slice(count), book);
    if (values && values.length > 0) return who.map((one) => fill(one, values, score));
  }
  return [];
}

/** "new@example.org to götz", "the number … to ada", "note on ada: likes tea". */
function valuesThenWho(tokens: readonly LineToken[], book: LineBook, score: number): Reading[] {
  for (let at = 1; at < tokens.length; at += 1) {
    const isJoint = ['to', 'for', 'on', 'of'].includes(tokens[at]?.low ?? '');
    const whoTokens = tokens.slice(isJoint ? at + 1 : at);
    if (whoTokens.length === 0 || whoTokens.length > MOST_WORDS) continue;
    const who = sureWho(whoTokens, book).filter(({ isList }) => !isList);
    if (who.length === 0) continue;
    const values = allValues(tokens.slice(0, at), book);
    // A name alone before a name is no value of it.
    if (values && values.length > 0) return who.map((one) => fill(one, values, score));
  }
  return [];
}

/** "the new number of ada is +44 …": the field, whose it is, and what it is now. */
function readFieldOf(tokens: readonly LineToken[], book: LineBook): Reading[] {
  const from = tokens.findIndex(({ low }) => !['the', 'new', 'a', 'an'].includes(low));
  const of = tokens.findIndex(({ low }) => low === 'of' || low === 'for');
  if (from < 0 || of <= from || of - from > 2 || !fieldOf(tokens.slice(from, of))) return [];
  const field = tokens.slice(from, of);
  for (let count = Math.min(MOST_WORDS, tokens.length - of - 2); count > 0; count -= 1) {
    const who = sureWho(tokens.slice(of + 1, of + 1 + count), book).filter(({ isList }) => !isList);
    if (who.length === 0) continue;
    const values = allValues([...field, ...tokens.slice(of + 1 + count)], book);
    if (values && values.length > 0) return who.map((one) => fill(one, values, 0.97));
  }
  return [];
}

/** "note on ada: likes tea". */
function readNotes(tokens: readonly LineToken[], book: LineBook): Reading[] {
  const noted = ['note on', 'on', 'note for', 'note about'].find((phrase) =>
    beginsWith(tokens, phrase.split(' ')),
  );
  if (noted === undefined) return [];
  const colon = tokens.findIndex(({ sign }) => sign === ':');
  if (colon < 1 || colon === tokens.length - 1) return [];
  const who = sureWho(tokens.slice(noted.split(' ').length, colon + 1), book);
  return who.map((one) => fill(one, [{ field: 'note', value: rawOf(tokens.slice(colon + 1)) }], 0.97));
}

/** "tag ada as choir", "tag ada choir". */
function readTagging(tokens: readonly LineToken[], book: LineBook): Reading[] {
  if (tokens[0]?.low !== 'tag' || tokens.length < 3) return [];
  const rest = tokens.slice(1);
  const value = (rest.at(-1)?.raw ?? '').replace(/^#/, '');
  const isJoint = ['as', 'with'].includes(rest.at(-2)?.low ?? '');
  const who = sureWho(rest.slice(0, isJoint ? -2 : -1), book);
  return who.map((one) => fill(one, [{ field: 'tag', value }], 0.98));
}

/** "take ada off patrons", "remove ada from patrons", "untag ada players", "remove the tag players from ada". */
function readRemovals(tokens: readonly LineToken[], book: LineBook): Reading[] {
  const [verb = ''] = tokens.map(({ low }) => low);
  if (verb === 'untag' && tokens.length > 2) {
    const tag = (tokens.at(-1)?.raw ?? '').replace(/^#/, '');
    return sureWho(tokens.slice(1, -1), book).map((who) => fill(who, [{ field: '-tag', value: tag }], 0.98));
  }
  if (!['take', 'remove', 'delete', 'drop'].includes(verb)) return [];
  const rest = tokens.slice(1);
  for (let at = 1; at < rest.length - 1; at += 1) {
    if (!['off', 'from', 'of'].includes(rest[at]?.low ?? '')) continue;
    const [before, behind] = [rest.slice(0, at), rest.slice(at + 1)];
    const list = book.list(behind.filter(({ low }) => low !== 'the' && low !== 'list').map(({ raw }) => raw));
    const who = sureWho(before, book).filter(({ isList }) => !isList);
    if (list?.isByHand && who.length > 0)
      return who.map((one) => fill(one, [{ field: '-list', value: list.uid }], 0.98));
    const tag = before.filter(({ low }) => low !== 'the' && low !== 'tag').map(({ raw }) => raw);
    const isTag =
      before.some(({ low, raw }) => low === 'tag' || raw.startsWith('#')) || book.hasTag(tag.join(' '));
    if (tag.length > 0 && isTag)
      return sureWho(behind, book).map((one) =>
        fill(one, [{ field: '-tag', value: tag.join(' ').replace(/^#/, '') }], 0.97),
      );
  }
  return [];
}

/** "ada opener ask about the hall", "opener for ada: …", "next time with ada …". */
function readOpeners(tokens: readonly LineToken[], book: LineBook): Reading[] {
  const lead = [
    'opener for',
    'next time with',
    'next time',
    'rhythm',
    'talk to',
    'keep in touch with',
    'be in touch with',
    'call',
    'write to',
  ].find((phrase) => beginsWith(tokens, phrase.split(' ')));
  if (lead === undefined) return [];
  const rest = tokens.slice(lead.split(' ').length);
  for (let count = Math.min(MOST_WORDS, rest.length - 1); count > 0; count -= 1) {
    const who = sureWho(rest.slice(0, count), book);
    if (who.length === 0) continue;
    const left = rest.slice(count);
    if (/^(?:opener|next)/.test(lead))
      return who.map((one) => fill(one, [{ field: 'opener', value: rawOf(left) }], 0.97));
    const values = allValues(left, book);
    if (values?.every(({ field }) => field === 'rhythm') === true && values.length > 0)
      return who.map((one) => fill(one, values, 0.98));
  }
  return [];
}

/** Everything that asks for one value of somebody. */
export function readShows(tokens: readonly LineToken[], { book }: LineContext): Reading[] {
  const show = (who: Who, field: string, score: number): Reading => ({
    ...{ need: 'show' as const, uids: who.uids, values: [{ field, value: '' }] },
    score: score * who.sureness,
  });
  const people = (some: readonly LineToken[]) => whoIn(some, book).filter(({ isList }) => !isList);
  for (const [question, field] of QUESTIONS) {
    const [before = [], behind = []] = question
      .split('WHO')
      .map((part) => part.trim().split(' ').filter(Boolean));
    if (!beginsWith(tokens, before) || tokens.length <= before.length + behind.length) continue;
    const end = tokens.length - behind.length;
    if (!behind.every((word, i) => tokens[end + i]?.low === word)) continue;
    const who = people(tokens.slice(before.length, end));
    if (who.length > 0) return who.map((one) => show(one, field, 0.98));
  }
  const lead = ['what is', "what's", 'show me', 'show', 'tell me', 'give me'].find((phrase) =>
    beginsWith(tokens, phrase.split(' ')),
  );
  const asked = lead === undefined ? tokens : tokens.slice(lead.split(' ').length);
  const rest = asked[0]?.low === 'the' ? asked.slice(1) : asked;
  const readings: Reading[] = [];
  for (let count = 1; count <= 3 && count < rest.length; count += 1) {
    const behind = fieldOf(rest.slice(-count));
    if (behind !== undefined)
      readings.push(...people(rest.slice(0, -count)).map((who) => show(who, behind, 0.97)));
    const joint = ['of', 'for', 'on'].includes(rest[count]?.low ?? '');
    const before = joint ? fieldOf(rest.slice(0, count)) : undefined;
    if (before !== undefined)
      // "email of morag" asks for it; "email morag" is an act.
      readings.push(...people(rest.slice(count + 1)).map((who) => show(who, before, 0.985)));
  }
  return readings;
}

/** A kind of value by all of some words: "work mail", "mobile", "email address". */
function fieldOf(tokens: readonly LineToken[]): string | undefined {
  const whole = fieldAt(tokens);
  if (whole?.[1] === tokens.length) return whole[0];
  const kind = KIND_WORDS[tokens[0]?.low ?? ''];
  const rest = fieldAt(tokens.slice(1));
  if (kind === undefined || rest?.[1] !== tokens.length - 1) return undefined;
  return `${rest[0].split(':')[0] ?? ''}:${kind}`;
}
