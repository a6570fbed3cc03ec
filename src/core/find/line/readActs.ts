import { ownProperty } from '@/core/base';
import type { Uid } from '@/core/card';

import { lows } from './limitParts';
import type { LineBook } from './lineBook';
import { dayAfter, readDay, readSpan, readTime, type TakenWords } from './lineDays';
import { beginsWith, endsWith, type LineToken, rawOf } from './lineTokens';
import { ACTS, FILE_WORDS, MEET, SPLIT_ACTS, TALKED } from './lineWords.data';
import type { LineAct, LineValue, Reading } from './reading';
import { type Who, whoIn } from './who';

/** What reading goes by. */
export interface LineContext {
  readonly book: LineBook;
  /** A day such as 2026-11-24. */
  readonly today: string;
}

/** Acts that change something. */
const CHANGES: ReadonlySet<LineAct> = new Set([
  'pin',
  'unpin',
  'archive',
  'restore',
  'private',
  'public',
  'merge',
  'remind',
  'meet',
  'talk',
]);

function act(what: LineAct, who: Who, values: readonly LineValue[], score: number): Reading {
  const sureness = CHANGES.has(what) && !who.isSure ? who.sureness * 0.5 : who.sureness;
  return { need: 'do', act: what, uids: who.uids, values, score: score * sureness };
}

/** Everything that asks to do something with somebody. */
export function readActs(tokens: readonly LineToken[], context: LineContext): Reading[] {
  return [
    ...readSend(tokens, context),
    ...readRemind(tokens, context),
    ...readMeet(tokens, context),
    ...readTalk(tokens, context),
    ...readCopy(tokens, context),
    ...readExport(tokens, context),
    ...readPlain(tokens, context),
  ];
}

/** An act by its verb at the beginning, at the end, or around whom it is about. */
function readPlain(tokens: readonly LineToken[], { book }: LineContext): Reading[] {
  const readings: Reading[] = [];
  for (const { act: what, first, last = [], what: kind } of ACTS) {
    const more = kind === undefined ? [] : [{ field: 'what', value: kind }];
    for (const words of first.map((one) => one.split(' '))) {
      if (!beginsWith(tokens, words) || tokens.length === words.length) continue;
      const rest = tokens.slice(words.length);
      readings.push(...whoIn(rest, book).map((who) => act(what, who, more, 0.98)));
      if (what === 'write') readings.push(...withSubject(rest, book));
    }
    for (const words of last.map((one) => one.split(' ')))
      if (endsWith(tokens, words) && tokens.length > words.length)
        readings.push(
          ...whoIn(tokens.slice(0, -words.length), book).map((who) => act(what, who, more, 0.95)),
        );
  }
  for (const { act: what, first, last } of SPLIT_ACTS)
    for (const words of first.map((one) => one.split(' ')))
      for (const end of last.map((one) => one.split(' ')))
        if (beginsWith(tokens, words) && endsWith(tokens, end) && tokens.length > words.length + end.length)
          readings.push(
            ...whoIn(tokens.slice(words.length, tokens.length - end.length), book).map((who) =>
              act(what, who, [], 0.97),
            ),
          );
  return readings;
}

/** "write to ada about the rehearsal", "write to ada: rehearsal". */
function withSubject(tokens: readonly LineToken[], book: LineBook): Reading[] {
  for (let at = 1; at < tokens.length; at += 1) {
    const isColon = tokens[at - 1]?.sign === ':';
    const isAbout = ['about', 'regarding', 're', 'concerning'].includes(tokens[at]?.low ?? '');
    if (!isColon && !isAbout) continue;
    const value = rawOf(tokens.slice(isAbout ? at + 1 : at));
    if (value === '') return [];
    return whoIn(tokens.slice(0, at), book).map((who) =>
      act('write', who, [{ field: 'subject', value }], 0.97),
    );
  }
  return [];
}

/** "copy ada's number". */
function readCopy(tokens: readonly LineToken[], { book }: LineContext): Reading[] {
  if (tokens[0]?.low !== 'copy' || tokens.length < 2) return [];
  const fields: Readonly<Record<string, string>> = {
    number: 'number',
    phone: 'number',
    mail: 'mail',
    email: 'mail',
    address: 'address',
    web: 'web',
  };
  const field = fields[tokens.at(-1)?.low ?? ''];
  const rest = tokens.slice(1, field === undefined ? undefined : -1);
  return whoIn(rest, book).map((who) =>
    act('copy', who, field === undefined ? [] : [{ field, value: '' }], 0.98),
  );
}

/** "export patrons as a table": with the format of the file. */
function readExport(tokens: readonly LineToken[], { book }: LineContext): Reading[] {
  const at = tokens.findLastIndex(({ low }) => low === 'as' || low === 'into');
  if (at < 2) return [];
  const [, named = ''] = /^(?:an? )?(.+?)(?: file)?$/.exec(lows(tokens.slice(at + 1)).join(' ')) ?? [];
  const format = ownProperty(FILE_WORDS, named);
  const verb = EXPORT_WORDS.find((words) => beginsWith(tokens, words));
  if (format === undefined || verb === undefined) return [];
  return whoIn(tokens.slice(verb.length, at), book).map((who) =>
    act('export', who, [{ field: 'as', value: format }], 0.99),
  );
}

const EXPORT_WORDS = ACTS.filter((one) => one.act === 'export')
  .flatMap(({ first }) => first)
  .map((words) => words.split(' '));

/** "send ada's card to götz", "send patrons the card of ada", "share ada with götz", "send götz ada's card". */
function readSend(tokens: readonly LineToken[], { book }: LineContext): Reading[] {
  const [verb = ''] = lows(tokens);
  if (!['send', 'share', 'forward', 'give'].includes(verb)) return [];
  const rest = tokens.slice(1);
  const make = (whose: readonly Who[], to: readonly Who[]) =>
    whose.flatMap((one) =>
      to.flatMap((other) =>
        other.uids.map((uid: Uid) =>
          act(
            'send',
            { ...one, sureness: Math.min(one.sureness, other.sureness) },
            [{ field: 'to', value: uid }],
            0.98,
          ),
        ),
      ),
    );
  for (let at = 1; at < rest.length; at += 1) {
    const word = rest[at]?.low ?? '';
    if ((word === 'to' || word === 'with') && at < rest.length - 1) {
      const found = make(whoIn(rest.slice(0, at), book), whoIn(rest.slice(at + 1), book));
      if (found.length > 0) return found;
    }
  }
  const isOwned = rest.at(-1)?.low === 'card';
  for (let at = 1; at < rest.length - 1; at += 1) {
    const whose = isOwned
      ? rest.slice(at, -1)
      : beginsWith(rest.slice(at), CARD_OF)
        ? rest.slice(at + CARD_OF.length)
        : [];
    if (whose.length === 0) continue;
    const found = make(whoIn(whose, book), whoIn(rest.slice(0, at), book));
    if (found.length > 0) return found;
  }
  return [];
}

const CARD_OF = ['the', 'card', 'of'];

/** "remind me to call ada on friday", "ada again in ten days", "call ada tomorrow". */
function readRemind(tokens: readonly LineToken[], { book, today }: LineContext): Reading[] {
  const words = lows(tokens);
  const at = dayAtEnd(words, today);
  if (!at) return [];
  const head = tokens.slice(0, at.from);
  const day = { field: 'day', value: at.day };
  const remind = [
    'remind me to',
    'remind me about',
    'remind me of',
    'remind me',
    'reminder for',
    'remember to',
  ].find((phrase) => beginsWith(head, phrase.split(' ')));
  const follow = [
    'follow up with',
    'follow up',
    'get back to',
    'come back to',
    'again',
    'talk again to',
    'talk to',
  ].find((phrase) => beginsWith(head, phrase.split(' ')));
  if (remind !== undefined) {
    const rest = head.slice(remind.split(' ').length);
    return [
      ...taskAndWho(rest, book, day, 0.99),
      ...whoIn(rest, book).map((who) => act('remind', who, [day], 0.99)),
    ];
  }
  if (follow !== undefined)
    return whoIn(head.slice(follow.split(' ').length), book).map((who) => act('remind', who, [day], 0.98));
  if (head.at(-1)?.low === 'again')
    return whoIn(head.slice(0, -1), book).map((who) => act('remind', who, [day], 0.98));
  return taskAndWho(head, book, day, 0.97);
}

/** "call ada", "write to ada": what is to be done, and with whom. */
function taskAndWho(tokens: readonly LineToken[], book: LineBook, day: LineValue, score: number): Reading[] {
  for (const verb of [
    'call',
    'ring',
    'phone',
    'write to',
    'write',
    'mail',
    'email',
    'message',
    'text',
    'visit',
    'thank',
    'ask',
    'congratulate',
  ]) {
    const words = verb.split(' ');
    if (!beginsWith(tokens, words) || tokens.length === words.length) continue;
    return whoIn(tokens.slice(words.length), book).map((who) =>
      act('remind', who, [day, { field: 'text', value: words[0] ?? verb }], score),
    );
  }
  return [];
}

/** A day that the words end with. */
function dayAtEnd(words: readonly string[], today: string): { from: number; day: string } | undefined {
  for (let from = 1; from < words.length; from += 1) {
    const read = readDay(words.slice(from), today);
    if (read && from + read.taken === words.length) return { from, day: read.what };
  }
  return undefined;
}

/** Longer words first, so that "met with" isn't taken for "met". */
const MEET_WORDS = MEET.toSorted((a, b) => b.length - a.length);
const TALKED_WORDS = TALKED.toSorted(([a], [b]) => b.length - a.length);

/** "meet ada tomorrow 10:00 at the net loft". */
function readMeet(tokens: readonly LineToken[], { book, today }: LineContext): Reading[] {
  const verb = MEET_WORDS.find((phrase) => beginsWith(tokens, phrase.split(' ')));
  if (verb === undefined) return [];
  const rest = tokens.slice(verb.split(' ').length);
  for (let at = 1; at < rest.length; at += 1) {
    const when = whenAndWhere(rest.slice(at), today);
    if (!when) continue;
    return whoIn(rest.slice(0, at), book).map((who) => act('meet', who, when, 0.99));
  }
  return [];
}

/** A day, a time and a place, in any order; a day there must be. */
function whenAndWhere(tokens: readonly LineToken[], today: string): LineValue[] | undefined {
  const words = lows(tokens);
  let day: string | undefined;
  let time: string | undefined;
  let at = 0;
  while (at < words.length) {
    const rest = words.slice(at);
    const readTimeHere = time === undefined ? readTime(rest) : undefined;
    const readDayHere = day === undefined ? readDay(rest, today) : undefined;
    if (readTimeHere) {
      time = readTimeHere.what;
      at += readTimeHere.taken;
    } else if (readDayHere) {
      day = readDayHere.what;
      at += readDayHere.taken;
    } else break;
  }
  if (day === undefined) return undefined;
  const values: LineValue[] = [
    { field: 'day', value: day },
    ...(time === undefined ? [] : [{ field: 'time', value: time }]),
  ];
  if (at === words.length) return values;
  if (!['at', 'in'].includes(words[at] ?? '') || at === words.length - 1) return undefined;
  return [...values, { field: 'place', value: rawOf(tokens.slice(at + 1)) }];
}

/** A talk that has been: with whom, of what kind, when, about what, and when again. */
function readTalk(tokens: readonly LineToken[], { book, today }: LineContext): Reading[] {
  const found = TALKED_WORDS.find(([phrase]) => beginsWith(tokens, phrase.split(' ')));
  if (!found) return [];
  const [phrase, kind] = found;
  const kinds = kind === undefined ? [] : [{ field: 'kind', value: kind }];
  const rest = tokens.slice(phrase.split(' ').length);
  // The name goes as far as somebody is called so.
  for (let count = Math.min(6, rest.length); count > 0; count -= 1) {
    const who = whoIn(rest.slice(0, count), book);
    if (who.length === 0) continue;
    const said = talkValues(rest.slice(count), rest[count - 1]?.sign === ':', today);
    if (said) return who.map((one) => act('talk', one, [...kinds, ...said], 0.97));
  }
  return [];
}

function talkValues(tokens: readonly LineToken[], isColon: boolean, today: string): LineValue[] | undefined {
  const values: LineValue[] = [];
  let rest = tokens;
  const day = isColon ? undefined : readDay(lows(rest), today, true);
  let hasColon = isColon;
  if (day) {
    values.push({ field: 'day', value: day.what });
    hasColon = rest[day.taken - 1]?.sign === ':';
    rest = rest.slice(day.taken);
  }
  if (rest.length === 0) return values;
  const isAbout = ['about', 'on', 'regarding'].includes(rest[0]?.low ?? '');
  if (!isAbout && !hasColon) return undefined;
  const text = isAbout ? rest.slice(1) : rest;
  // "…, again in ten days" is when next.
  const again = text.findIndex(({ low }) => low === 'again');
  if (again > 0) {
    const next = readDay(lows(text.slice(again + 1)), today) ?? spanAhead(text.slice(again + 1), today);
    if (next && again + 1 + next.taken === text.length)
      return [
        ...values,
        { field: 'text', value: rawOf(text.slice(0, again)).replace(/,$/, '') },
        { field: 'next', value: next.what },
      ];
  }
  return text.length === 0 ? undefined : [...values, { field: 'text', value: rawOf(text) }];
}

/** "ten days" behind "again", which means as much as "in ten days". */
function spanAhead(tokens: readonly LineToken[], today: string): TakenWords<string> | undefined {
  const span = readSpan(lows(tokens));
  return span && { what: dayAfter(today, span.what), taken: span.taken };
}
