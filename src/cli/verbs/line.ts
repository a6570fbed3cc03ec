import { readFileSync } from 'node:fs';

import { shownAs, type Uid } from '@/core/card';
import {
  describeReading,
  findByReading,
  limitsOf,
  NamesOfBook,
  type Reading,
  SearchIndex,
  toSearchDoc,
  understandLine,
} from '@/core/find';
import { isList } from '@/core/lists';
import { parseTalk, summarise, type Talk } from '@/core/talks';

import { knowPlaces } from '../input/knowPlaces';
import { readArgs, readDay } from '../input/readArgs';
import { readCardFile, UnusableInput } from '../input/readCardFile';

/** A reading as it is printed. */
interface PrintedReading {
  readonly need: string;
  /** Whom it is about; of a search those who are found, in rank order. */
  readonly uids: readonly string[];
  readonly act?: string;
  readonly values: readonly { readonly field: string; readonly value: string }[];
  readonly limits: readonly string[];
  readonly says: string;
  readonly score: number;
}

/** `line BOOK "TEXT" [--today DAY] [--talks TALKS.json]`: what a line means on a book, with what else it could mean. */
export async function line(
  args: readonly string[],
): Promise<PrintedReading & { others: readonly PrintedReading[] }> {
  const { words, options, usage } = readArgs(args, {
    usage: 'line BOOK "TEXT" [--today YYYY-MM-DD] [--talks TALKS.json]',
    words: 2,
    options: ['today', 'talks'],
  });
  const today = readDay(options.today ?? new Date().toISOString().slice(0, 10), 'today', usage);
  const [input, text = ''] = words;
  const { cards } = readCardFile(input);
  const index = new SearchIndex();
  for (const card of cards) index.add(toSearchDoc(card));
  if (options.talks !== undefined) index.putTalks(summariesOf(readTalks(options.talks)));
  const names = new Map<string, string>(cards.map((card) => [card.uid, shownAs(card)]));
  const nameOf = (uid: string) => names.get(uid) ?? uid;
  const lists = new Set<string>(cards.filter(isList).map(({ uid }) => uid));
  const print = (reading: Reading): PrintedReading => ({
    need: reading.need,
    uids:
      reading.need === 'find'
        ? findByReading(index, reading, { limit: cards.length, today }).map(({ uid }) => uid)
        : reading.uids,
    ...(reading.act === undefined ? {} : { act: reading.act }),
    values: [
      // A list's uid says little to whoever reads this.
      ...reading.values.map(({ field, value }) => ({
        field,
        value: lists.has(value) ? nameOf(value) : value,
      })),
      ...(reading.place === undefined ? [] : [{ field: 'place', value: reading.place }]),
    ],
    limits: [
      ...(reading.rule ? limitsOf(reading.rule, nameOf) : []),
      ...(reading.order === undefined ? [] : [`order=${reading.order}`]),
    ],
    says: describeReading(reading, nameOf),
    score: Math.round(reading.score * 1000) / 1000,
  });
  const readings = understandLine(text, { book: new NamesOfBook(cards), today });
  await knowPlaces(
    index,
    readings.map(({ rule }) => rule),
  );
  const [best, ...others] = readings;
  const none: PrintedReading = { need: 'none', uids: [], values: [], limits: [], says: '', score: 0 };
  return { ...(best ? print(best) : none), others: others.map(print) };
}

function readTalks(file: string): Talk[] {
  let json: unknown;
  try {
    json = JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    throw new UnusableInput(`${file}: can’t be read as JSON`);
  }
  const list = Array.isArray(json) ? json : (json as { talks?: unknown }).talks;
  if (!Array.isArray(list)) throw new UnusableInput(`${file}: holds no array of talks`);
  return list.map((value: unknown, i) => {
    const talk = parseTalk(value);
    if (!talk) throw new UnusableInput(`${file}: entry ${i + 1} is no talk`);
    return talk;
  });
}

function summariesOf(talks: readonly Talk[]): [Uid, ReturnType<typeof summarise>][] {
  const uids = new Set(talks.flatMap((talk) => talk.with));
  return [...uids].map((uid) => [uid, summarise(talks.filter((talk) => talk.with.includes(uid)))]);
}
