import { foldedWords } from '@/core/base';

import { lows } from './limitParts';
import { beginsWith, type LineToken, rawOf, tokensOf } from './lineTokens';
import { allValues } from './lineValues';
import { PLACES } from './lineWords.data';
import { type LineContext, readActs } from './readActs';
import { readFills, readShows } from './readFills';
import { readFinds } from './readFinds';
import { LEAST_SCORE, type LimitWords, type LineValue, meaningOf, type Reading } from './reading';
import { readLimitWords } from './readLimits';
import { LANGUAGES, translate } from './translate';

/** Readings that are kept; more are no help. */
const MOST_READINGS = 6;

/** A line of more words was pasted, and is searched for as it is: readers try each word with those behind it. */
const MOST_WORDS = 60;

/** What English means so surely is not tried in other languages. */
const SURE = 0.95;
/** Where English is anything but a search it is meant; words that are only looked for are rather those of another. */
const [LESS_LIKELY, LIKELIER] = [0.99, 1.01];

/** What a line can mean, in English, German or Spanish, the likeliest first; a line that means nothing gives none. */
export function understandLine(text: string, context: LineContext): Reading[] {
  const tokens = tokensOf(text);
  if (tokens.length === 0 || tokens.length > MOST_WORDS) return [];
  const readings = readingsOf(tokens, context);
  // What is surely something in English isn't tried in other languages.
  if (!readings.some(({ need, score }) => need !== 'find' && score >= SURE))
    for (const language of LANGUAGES) {
      const translated = translate(tokens, language, context);
      if (!translated) continue;
      const isSearch = readings.every(({ need, score }) => need === 'find' || score < LEAST_SCORE);
      const factor = isSearch ? LIKELIER : LESS_LIKELY;
      readings.push(...inTyped(readingsOf(translated, context), { translated, typed: tokens, factor }));
    }
  const seen = new Set<string>();
  return readings
    .toSorted((a, b) => b.score - a.score)
    .filter((reading) => {
      const key = meaningOf(reading);
      return !seen.has(key) && seen.add(key);
    })
    .slice(0, MOST_READINGS);
}

function readingsOf(tokens: readonly LineToken[], context: LineContext): Reading[] {
  return [
    ...readGo(tokens),
    ...readActs(tokens, context),
    ...readShows(tokens, context),
    ...readFills(tokens, context),
    ...readNew(tokens, context),
    ...readFinds(tokens, context),
  ];
}

interface Translated {
  readonly translated: readonly LineToken[];
  readonly typed: readonly LineToken[];
  readonly factor: number;
}

/** Readings of a translated line, with their limits where they stand in the line as typed; only words say nothing new. */
function inTyped(readings: readonly Reading[], { translated, typed, factor }: Translated): Reading[] {
  const placeOf = ({ first, end }: LimitWords) => {
    const words = translated.slice(first, end);
    const from = Math.min(...words.map((word) => word.from));
    const to = Math.max(...words.map((word) => word.to));
    return {
      first: typed.findIndex((token) => token.from >= from),
      end: typed.findLastIndex((token) => token.to <= to) + 1,
    };
  };
  return readings
    .filter(({ need, limits, order }) => need !== 'find' || limits !== undefined || order !== undefined)
    .map((reading) => ({
      ...reading,
      score: Math.min(1, reading.score * factor),
      ...(reading.limits === undefined
        ? {}
        : { limits: reading.limits.map((limit) => ({ ...limit, ...placeOf(limit) })) }),
    }));
}

/** A place of the application by its name. */
function readGo(tokens: readonly LineToken[]): Reading[] {
  const lead = ['go to', 'show', 'open', 'show me'].find((phrase) => beginsWith(tokens, phrase.split(' ')));
  const texts = [tokens, ...(lead === undefined ? [] : [tokens.slice(lead.split(' ').length)])];
  return texts.flatMap((some) => {
    const words = some.map(({ low, isOwner }) => `${low}${isOwner ? "'s" : ''}`).join(' ');
    const place = Object.hasOwn(PLACES, words) ? PLACES[words] : undefined;
    return place === undefined ? [] : [{ need: 'go' as const, uids: [], values: [], place, score: 0.99 }];
  });
}

/** Nobody's name. */
const SPAN = /^(?:last|this|next|past) (?:week|month|quarter|year)$/;

/** Words that say that a card is new. */
const NEW = [
  'new card for',
  'new card',
  'new person',
  'new contact',
  'a new card for',
  'new',
  'add a card for',
  'add',
  'create',
];

/** A card, an organisation or a list that isn't there yet. */
function readNew(tokens: readonly LineToken[], { book, today }: LineContext): Reading[] {
  for (const [phrase, field] of [
    ['new organisation', 'organisation'],
    ['new organization', 'organisation'],
    ['new firm', 'organisation'],
    ['new list', 'list'],
  ] as const)
    if (beginsWith(tokens, phrase.split(' ')) && tokens.length > 2)
      return [{ need: 'new', uids: [], values: [{ field, value: rawOf(tokens.slice(2)) }], score: 0.98 }];
  // "new this month" is a search.
  const limit = readLimitWords(tokens, book, today);
  if (limit?.taken === tokens.length) return [];
  const lead = NEW.find((words) => beginsWith(tokens, words.split(' ')));
  const said = ['this is', "it's", 'here is', 'my name is', 'i am'].find((words) =>
    beginsWith(tokens, words.split(' ')),
  );
  const start = (lead ?? said)?.split(' ').length ?? 0;
  const rest = tokens.slice(start);
  // "new last month" asks for cards, however little of it is understood.
  if (rest.length === 0 || SPAN.test(lows(rest).join(' '))) return [];
  for (let count = nameLength(rest); count > 0; count -= 1) {
    const values = allValues(rest.slice(count), book, true);
    if (!values) continue;
    const name = rawOf(rest.slice(0, count)).replace(/[,;]$/, '');
    const isReach = values.some(({ field }) => /^(?:mail|number)/.test(field));
    if (lead === undefined && said === undefined && !isReach) return [];
    // Somebody who is known is rather filled in than made again.
    const isKnown = book.named(rest.slice(0, count).map(({ raw }) => raw)).length > 0;
    const score =
      (lead === undefined ? 0.93 : 0.97) -
      (isKnown ? (lead === 'add' || lead === undefined ? 0.3 : 0.05) : 0);
    const all: LineValue[] = [{ field: 'name', value: name }, ...values];
    return [{ need: 'new', uids: [], values: all, score }];
  }
  return [];
}

/** How many words at the beginning may be a name: up to the first comma, to a word in small letters, or to a sign. */
function nameLength(tokens: readonly LineToken[]): number {
  let count = 0;
  while (count < tokens.length && count < 5) {
    const { raw, sign } = tokens[count] as LineToken;
    if (/[@\d#+]/.test(raw)) break;
    if (
      count > 0 &&
      foldedWords(raw)[0] !== undefined &&
      /^(?:at|from|in|on|born|with|to|tag|tagged|note|of)$/i.test(raw)
    )
      break;
    count += 1;
    if (sign !== '') break;
  }
  return count;
}
