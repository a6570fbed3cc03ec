import { parseTypedDate, type PartialDate } from '@/core/base';

import { findListByBeginning, type Known } from '../rules/findListByBeginning';
import { takeVerb, takeWanted, type Verb, type Wanted } from './verbs';

/** Something to fill in on a card. */
export type Fill =
  | { readonly kind: 'mail' | 'number' | 'web' | 'tag' | 'note' | 'organisation'; readonly value: string }
  | { readonly kind: 'birthday'; readonly value: string; readonly date: PartialDate }
  | { readonly kind: 'list'; readonly value: string; readonly uid: string };

/** What a line is understood as beside a search. */
export interface Quick {
  readonly verb?: Verb;
  readonly wanted?: Wanted;
  readonly fills: readonly Fill[];
  /** The words that name somebody. */
  readonly name: string;
}

const MAIL = /(?:^|[\s<])([^\s@<>,;]+@[^\s@<>,;]+\.[^\s@<>,;]+)>?/;
const WEB = /(?:^|\s)((?:https?:\/\/|www\.)\S+)/i;
const NUMBER = /(?:^|\s)(\(?\+?\d[\d\s()./-]{4,}\d)(?=\s|$)/g;
const NOTE = /(?:^|\s)note:?\s+(?!a talk\b)(.+)$/i;
const BIRTHDAY = /(?:^|\s)(?:born(?: on)?|birthday)\s+(.+)$/i;
const TAG = /(?:^|\s)(?:#|tag(?:ged)? )([^\s#]+)/i;
const AT = /(?:^|\s)at\s+(.+)$/i;

/** Words of a date at most: "3 February 1968". */
const MAX_DATE_WORDS = 4;

/** Digits that a number has at least; fewer are a search. */
const MIN_DIGITS = 6;

/** Reads a line; what is left of it when everything else has been taken out is the name. */
export function parseQuick(text: string, known: Known): Quick {
  const fills: Fill[] = [];
  let rest = text.trim();
  const take = (pattern: RegExp, make: (value: string) => Fill | undefined): void => {
    for (let match = pattern.exec(rest); match; match = pattern.exec(rest)) {
      const fill = make(match[1] ?? '');
      if (!fill) return;
      fills.push(fill);
      rest = `${rest.slice(0, match.index)} ${rest.slice(match.index + match[0].length)}`.trim();
    }
  };
  // What extends to the end of the line is read first, as a note may contain anything.
  take(NOTE, (value) => ({ kind: 'note', value: value.trim() }));
  take(MAIL, (value) => ({ kind: 'mail', value }));
  take(WEB, (value) => ({ kind: 'web', value }));
  rest = takeBirthday(rest, fills);
  rest = takeNumbers(rest.replace(/\s+/g, ' '), fills);
  take(TAG, (value) => ({ kind: 'tag', value }));
  rest = takeLists(rest, known, fills);
  take(AT, (value) => ({ kind: 'organisation', value: value.trim() }));
  return named(rest.split(/\s+/).filter(Boolean), fills);
}

function named(words: readonly string[], fills: readonly Fill[]): Quick {
  const verb = takeVerb(words);
  const wanted = takeWanted(verb?.rest ?? words);
  const left = wanted?.rest ?? verb?.rest ?? words;
  return {
    ...(verb ? { verb: verb.what } : {}),
    ...(wanted ? { wanted: wanted.what } : {}),
    fills,
    name: left.join(' ').replace(/[,;:]+$/, ''),
  };
}

/** "born 3 May 1968 …": as many words as make a date. */
function takeBirthday(text: string, fills: Fill[]): string {
  const match = BIRTHDAY.exec(text);
  const words = match?.[1]?.split(/\s+/) ?? [];
  for (let count = Math.min(MAX_DATE_WORDS, words.length); match && count > 0; count -= 1) {
    const value = words.slice(0, count).join(' ').replace(/,$/, '');
    const date = parseTypedDate(value);
    if (!date) continue;
    fills.push({ kind: 'birthday', value, date });
    return `${text.slice(0, match.index)} ${words.slice(count).join(' ')}`.trim();
  }
  return text;
}

/** Digits of a number that stands by itself, its 0 or + before it. */
const WHOLE_NUMBER = /^(?:\+|\(?0)(?:\D*\d){9}/;
const DAY = /^\d{4}([-/.])\d{1,2}\1\d{1,2}$|^\d{1,2}([-/.])\d{1,2}\2\d{4}$/;

/** Numbers, without a day or a figure of the name that stands beside them. */
function takeNumbers(text: string, fills: Fill[]): string {
  for (const [, run = ''] of text.matchAll(NUMBER)) {
    const words = run.split(' ');
    const isApart = () => words.length > 1 && WHOLE_NUMBER.test(words.slice(1).join(' '));
    while (isDay(words[0]) || isApart()) words.shift();
    while (isDay(words.at(-1))) words.pop();
    const value = words.join(' ');
    if (value.replace(/\D/g, '').length < MIN_DIGITS) continue;
    fills.push({ kind: 'number', value });
    return takeNumbers(text.replace(value, '').replace(/\s+/g, ' ').trim(), fills);
  }
  return text;
}

function isDay(word: string | undefined): boolean {
  return word !== undefined && DAY.test(word);
}

/** "on Patrons", "to pat": the list whose name begins with as many of the words as possible. */
function takeLists(text: string, known: Known, fills: Fill[]): string {
  const words = text.split(/\s+/).filter(Boolean);
  for (let at = 1; at < words.length - 1; at += 1) {
    if (!/^(on|to|onto)$/i.test(words[at] ?? '')) continue;
    const found = findListByBeginning(words.slice(at + 1), known);
    if (!found) continue;
    fills.push({ kind: 'list', value: found.list.name, uid: found.list.uid });
    return takeLists([...words.slice(0, at), ...words.slice(at + 1 + found.taken)].join(' '), known, fills);
  }
  return text;
}
