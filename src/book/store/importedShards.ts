import { inBatches } from '@/core/base';
import type { Uid } from '@/core/card';
import { type Talk, type TalkSummary, withTalk } from '@/core/talks';
import { type TextStorage, yieldToPage } from '@/platform';

import { KEYS } from './keys';
import { parseStoredShard, readSummaries, type StoredTalk } from './storedTalks';

/** Talks of a month that are new to it, and what adding them writes. */
export interface AddedTalks {
  readonly added: readonly Talk[];
  readonly summaries: ReadonlyMap<Uid, TalkSummary>;
  readonly records: Readonly<Record<string, string>>;
  /** Whether the month could not be read, and was set aside. */
  readonly isDamaged: boolean;
}

/** People whose summaries are read at once. */
const PEOPLE_AT_ONCE = 300;

/** Works out how talks are added to the shard of a month: those that are in it already are left out. */
export async function addToShard(
  storage: TextStorage,
  month: string,
  talks: readonly Talk[],
): Promise<AddedTalks> {
  const key = `${KEYS.talks}${month}`;
  const { talks: list, damaged } = parseStoredShard(await storage.getItem(key));
  const known = new Set<unknown>(list.map(({ id }) => id));
  const added = talks.filter(({ id }) => !known.has(id) && known.add(id));
  const summaries = new Map<Uid, TalkSummary>();
  // With many people each part is short by itself, and the page goes on in between.
  for (const uids of inBatches([...new Set(added.flatMap((one) => one.with))], PEOPLE_AT_ONCE)) {
    for (const [uid, summary] of await readSummaries(storage, uids)) summaries.set(uid, summary);
    await yieldToPage();
  }
  for (const talk of added)
    for (const uid of talk.with) summaries.set(uid, withTalk(summaries.get(uid), talk));
  await yieldToPage();
  const records = {
    [key]: JSON.stringify([...list, ...added]),
    ...(damaged === undefined ? {} : { [`${KEYS.aside}${key}`]: damaged }),
    ...Object.fromEntries(
      [...summaries].map(([uid, summary]) => [`${KEYS.summary}${uid}`, JSON.stringify(summary)]),
    ),
  };
  // Writing as many records is long enough by itself.
  await yieldToPage();
  return { added, summaries, isDamaged: damaged !== undefined, records };
}

/** The talks of a month with those that came with an import, and those that did not. */
export interface SplitShard {
  readonly gone: readonly StoredTalk[];
  readonly left: readonly StoredTalk[];
}

/** Parts the shard of a month by an import. */
export async function splitShard(storage: TextStorage, month: string, intake: string): Promise<SplitShard> {
  const gone: StoredTalk[] = [];
  const left: StoredTalk[] = [];
  for (const talk of parseStoredShard(await storage.getItem(`${KEYS.talks}${month}`)).talks)
    (talk.intake === intake ? gone : left).push(talk);
  return { gone, left };
}
