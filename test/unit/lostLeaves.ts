import { formatPartialDate, type PartialDate } from '@/core/base';
import type { Card } from '@/core/card';

/** What a card says of itself, of the order of its entries and how its texts are set: no value of whoever it is about. */
const APART = new Set([
  ...['@type', 'version', 'uid', 'created', 'updated', 'prodId', 'pref', 'isOrdered', 'defaultSeparator'],
  // How what is spoken is written down.
  ...['phoneticSystem', 'phoneticScript'],
  ...[
    'kind/',
    'language/',
    'cordialis.example:archived',
    'cordialis.example:due',
    'cordialis.example:greeted',
  ],
]);

interface Leaf {
  readonly path: string;
  readonly text: string;
}

/** Every value of a card that stands at the end of its tree; of sets and maps by people the keys too. */
function leavesOf(value: unknown, path: readonly string[] = []): Leaf[] {
  const [collection = ''] = path;
  if (path.length > 0 && (APART.has(path.at(-1) ?? '') || APART.has(`${path.join('/')}/`))) return [];
  if (Array.isArray(value)) return value.flatMap((one) => leavesOf(one, [...path, '0']));
  if (typeof value === 'object' && value !== null) {
    if ('kind' in value && value.kind === 'separator') return [];
    if (path.at(-1) === 'date') return dateLeaves(value, path.join('/'));
    // Of a part its words are the value; on another card they may stand undivided.
    if (path.at(-2) === 'components')
      return leavesOf({ ...value, kind: undefined }, [...path.slice(0, -2), 'part']);
    return Object.entries(value).flatMap(([key, one]) => [
      // Ids of entries are no values; who is related or a member is.
      ...((one === true && !APART.has(key)) || collection === 'relatedTo'
        ? [{ path: path.join('/'), text: key }]
        : []),
      ...(one === true ? [] : leavesOf(one, [...path, key])),
    ]);
  }
  // A flag that isn't set says as much as none.
  return value === false || value === undefined ? [] : [{ path: path.join('/'), text: String(value) }];
}

/** A day is read as a whole: 3 February is in 3 February 1968. */
function dateLeaves(date: PartialDate | { readonly utc: string }, path: string): Leaf[] {
  if ('utc' in date) return [{ path, text: date.utc }];
  const { calendarScale, ...day } = date;
  return [{ path, text: formatPartialDate(day, 'en-GB') }, ...leavesOf({ calendarScale }, [path])];
}

/** The rule by which two writings say the same, put down once more and more simply than where it is used. */
function plain(text: string): string {
  const [, number = '', extension = ''] = /^(\+?[\d ().-]{7,}?)( ext\. \d+)?$/.exec(text) ?? [];
  // With or without the country in which the samples live.
  if (number !== '') return `${number.replace(/\D/g, '').replace(/^(44|0)/, '')}${extension}`;
  return (
    text
      .normalize('NFKD')
      .toLowerCase()
      .replace(/^https:/, 'http:')
      .replace(/([a-z\u0370-\u03ff\u0400-\u04ff\u0590-\u06ff])\p{M}+/gu, '$1')
      // Signs of syntax alone say nothing.
      .replace(/[\p{P}\p{Z}\p{C}\x20-\x2f\x3a-\x40\x5b-\x60\x7b-\x7f]+/gu, ' ')
      .trim()
  );
}

/** All texts of a card, those too that are only parts put together. */
function textsOf(value: unknown): string[] {
  if (typeof value !== 'object' || value === null) return [String(value)];
  const parts =
    'components' in value && Array.isArray(value.components) ? (value.components as { value: string }[]) : [];
  const texts = Object.entries(value).flatMap(([key, one]) => [key, ...textsOf(one)]);
  const isDay = 'year' in value || 'month' in value;
  const day = isDay ? [formatPartialDate(value as PartialDate, 'en-GB')] : [];
  return [...texts, ...day, parts.map((part) => part.value).join(' ')];
}

/** What of a card is nowhere in what it has become. */
export function lostLeaves(card: Card, result: Card): string[] {
  const texts = textsOf(result);
  const exact = new Set(texts);
  const runs = [...new Set(texts.map((text) => ` ${plain(text)} `))];
  return leavesOf(card)
    .filter(({ text }) => {
      const words = plain(text);
      if (exact.has(text) || texts.some((one) => one.includes(JSON.stringify(text).slice(1, -1))))
        return false;
      return words !== '' && !runs.some((run) => run.includes(` ${words} `));
    })
    .map(({ path, text }) => `${path}: ${text}`);
}
