import { isObject } from '@/core/base';
import type { Uid } from '@/core/card';
import {
  monthOf,
  parseTalk,
  summarise,
  summarySchema,
  type Talk,
  type TalkSummary,
  talksWith,
  withTalk,
} from '@/core/talks';
import type { TextStorage } from '@/platform';

import { KEYS } from './keys';
import { mergePending, type Pending } from './pending';
import { parseJson } from './readCards';

/** The imports that talks came with, and the ids of those that came with none, as they are queued. */
export function intakesOf(talks: readonly Talk[]): string[] {
  return [...new Set(talks.map(({ id, intake }) => (intake === undefined ? id : `intake:${intake}`)))];
}

/** A talk as it is stored, before anything of it but its name has been looked at. */
export interface StoredTalk {
  readonly id: string;
  readonly intake?: unknown;
}

/** A shard of talks, with what of it can't be read. */
export interface StoredShard {
  /** As they are: what this version can't read is written back as it was. */
  readonly talks: StoredTalk[];
  /** The whole text, where it is no list of talks. */
  readonly damaged?: string;
}

/** Reads the shard of a month. */
export function parseStoredShard(text: string | null | undefined): StoredShard {
  if (text === null || text === undefined || text === '') return { talks: [] };
  const list = parseJson(text);
  if (!Array.isArray(list)) return { talks: [], damaged: text };
  return { talks: list as StoredTalk[] };
}

function idOf(one: unknown): unknown {
  return isObject(one) ? one['id'] : undefined;
}

/** What writing talks comes to. */
export interface TalkBatch {
  /** Records of the store: shards, summaries, what had to be set aside. */
  readonly records: Readonly<Record<string, string>>;
  /** Each talk as it will be in the store. */
  readonly written: ReadonlyMap<string, Talk | undefined>;
  readonly months: readonly string[];
  readonly summaries: ReadonlyMap<Uid, TalkSummary | undefined>;
  /** Months that could not be read, and are kept apart under another key. */
  readonly damaged: readonly string[];
}

/**
 * Works out what to write for changed talks: the shards they are in and go into, beside what other pages have written,
 * and the summaries of everybody they are with. Nobody else may write meanwhile.
 */
export async function batchOfTalks(
  storage: TextStorage,
  pending: ReadonlyMap<string, Pending<Talk>>,
): Promise<TalkBatch> {
  const shards = new Shards(storage);
  await shards.read(
    [...pending.values()].flatMap(({ base, mine }) =>
      [base, mine].flatMap((one) => (one ? monthOf(one) : [])),
    ),
  );
  const written = new Map<string, Talk | undefined>();
  const changes = new Map<string, { readonly before: Talk | undefined; readonly after: Talk | undefined }>();
  for (const [id, entry] of pending) {
    const before = await shards.find(id, entry.base ?? entry.mine);
    const after = mergePending(entry, before);
    shards.put(id, before, after);
    written.set(id, after);
    changes.set(id, { before, after });
  }
  const uids = new Set(
    [...changes.values()].flatMap(({ before, after }) => [...(before?.with ?? []), ...(after?.with ?? [])]),
  );
  const summaries = new Map<Uid, TalkSummary | undefined>();
  const known = await readSummaries(storage, [...uids]);
  for (const uid of uids) {
    const own = [...changes.values()].filter(({ before, after }) =>
      [before, after].some((talk) => talk?.with.includes(uid)),
    );
    summaries.set(uid, await shards.summaryOf(uid, known.get(uid), own));
  }
  return { ...shards.records(summaries), written, summaries };
}

/** The stored summaries of some cards; those that are there and can be read. */
export async function readSummaries(
  storage: TextStorage,
  uids: readonly Uid[],
): Promise<Map<Uid, TalkSummary>> {
  const stored = await storage.getMany(uids.map((uid) => `${KEYS.summary}${uid}`));
  return new Map(
    uids.flatMap((uid) => {
      const { data } = summarySchema.safeParse(parseJson(stored[`${KEYS.summary}${uid}`]));
      return data ? [[uid, data] as const] : [];
    }),
  );
}

/** Months of talks while they are being changed. */
class Shards {
  private readonly months = new Map<string, StoredTalk[]>();
  private readonly touched = new Set<string>();
  private readonly damaged = new Map<string, string>();

  constructor(private readonly storage: TextStorage) {}

  async read(months: readonly string[]): Promise<void> {
    const missing = [...new Set(months)].filter((month) => !this.months.has(month));
    if (missing.length === 0) return;
    const stored = await this.storage.getMany(missing.map((month) => `${KEYS.talks}${month}`));
    for (const month of missing) {
      const { talks, damaged } = parseStoredShard(stored[`${KEYS.talks}${month}`]);
      this.months.set(month, talks);
      if (damaged !== undefined) this.damaged.set(month, damaged);
    }
  }

  /** A talk as it is stored. Another page may have moved it to another day: it is looked for where its people's talks are. */
  async find(id: string, like: Talk | undefined): Promise<Talk | undefined> {
    const here = this.findHere(id);
    if (here || !like) return here;
    const summaries = await readSummaries(this.storage, like.with);
    await this.read([...summaries.values()].flatMap(({ months }) => months));
    return this.findHere(id);
  }

  private findHere(id: string): Talk | undefined {
    for (const talks of this.months.values()) {
      const found = talks.find((one) => idOf(one) === id);
      if (found) return parseTalk(found);
    }
    return undefined;
  }

  put(id: string, before: Talk | undefined, after: Talk | undefined): void {
    const [from, to] = [before && monthOf(before), after && monthOf(after)];
    for (const month of [from, to]) if (month !== undefined) this.touched.add(month);
    if (from !== undefined && from === to && after) {
      this.months.set(
        from,
        this.listOf(from).map((one) => (idOf(one) === id ? after : one)),
      );
      return;
    }
    if (from !== undefined)
      this.months.set(
        from,
        this.listOf(from).filter((one) => idOf(one) !== id),
      );
    if (to !== undefined && after)
      this.months.set(to, [...this.listOf(to).filter((one) => idOf(one) !== id), after]);
  }

  private listOf(month: string): StoredTalk[] {
    return this.months.get(month) ?? [];
  }

  /** Talks that are only added go into the summary by themselves; else it is made again of all talks with the card. */
  async summaryOf(
    uid: Uid,
    known: TalkSummary | undefined,
    changes: readonly { readonly before: Talk | undefined; readonly after: Talk | undefined }[],
  ): Promise<TalkSummary | undefined> {
    if (changes.every(({ before }) => !before)) {
      let summary = known;
      for (const { after } of changes) if (after) summary = withTalk(summary, after);
      return summary;
    }
    await this.read(known?.months ?? []);
    const talks = [...this.months.values()].flat().flatMap((one) => parseTalk(one) ?? []);
    return summarise(talksWith(talks, [uid]));
  }

  records(
    summaries: ReadonlyMap<Uid, TalkSummary | undefined>,
  ): Pick<TalkBatch, 'records' | 'months' | 'damaged'> {
    const damaged = [...this.damaged].filter(([month]) => this.touched.has(month));
    return {
      records: Object.fromEntries([
        ...[...this.touched].map((month) => [`${KEYS.talks}${month}`, JSON.stringify(this.listOf(month))]),
        ...[...summaries].map(([uid, one]) => [`${KEYS.summary}${uid}`, one ? JSON.stringify(one) : '']),
        ...damaged.map(([month, text]) => [`${KEYS.aside}${KEYS.talks}${month}`, text]),
      ]) as Record<string, string>,
      months: [...this.touched],
      damaged: damaged.map(([month]) => month),
    };
  }
}
