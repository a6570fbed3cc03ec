import { type Job, readBackupInWorker } from '@/book/clients';
import { type BatchOptions, changeLong, type LongPiece, parseShard } from '@/book/commit';
import { removed, type SideChange, type Step, type TalkChange } from '@/book/history';
import { type AppThunk, diffSettings, selectCardsByUid, selectSettings, settingsSchema } from '@/book/state';
import { detachPhotos, KEYS, keysUnder } from '@/book/store';
import { withoutFiles } from '@/book/talks';
import { inBatches, isSameJson, Pipe } from '@/core/base';
import type { Card, Uid } from '@/core/card';
import { type BackupSinks, type BackupSummary, compareImport } from '@/core/formats';
import { monthOf, type Talk } from '@/core/talks';
import { texts } from '@/texts/formats/formats';

/** Reads a backup; replaced in tests, which have no workers. */
export type ReadBackup = (file: Blob, sinks: BackupSinks) => Job<BackupSummary>;

/** A backup that has been looked through, of which nothing has been restored. */
export interface OpenedBackup {
  readonly file: Blob;
  readonly summary: BackupSummary;
  /** How many of its cards are new, differ from the book's, are as the book's are. */
  readonly fresh: number;
  readonly different: number;
  readonly same: number;
}

/**
 * Looks a backup through, from beginning to end: whether it is whole, and what restoring it would bring.
 *
 * @param onJob - called with the reading, so that it can be stopped
 */
export function openBackup(
  file: Blob,
  onProgress: (share01: number) => void,
  onJob: (job: Job<unknown>) => void = () => undefined,
  read: ReadBackup = readBackupInWorker,
): AppThunk<Promise<OpenedBackup>> {
  return async (_, getState) => {
    const counts = { fresh: 0, different: 0, same: 0 };
    const job = read(file, {
      onCards: (cards) => {
        // A restored card takes the place of the book's: what it doesn't say differs as well.
        const known = selectCardsByUid(getState());
        const { fresh, different, same } = compareImport(
          cards.map((card) => detachPhotos(card).card),
          (uid) => known.get(uid),
        );
        counts.fresh += fresh.length;
        counts.different += different.length;
        counts.same += same.length;
      },
      onProgress,
    });
    onJob(job);
    return { file, summary: await job.result, ...counts };
  };
}

/** How a backup is restored. */
export interface RestoreOptions extends BatchOptions {
  /** Cards and talks that are in the book and not in the backup go; without it they stay. */
  readonly isExact: boolean;
  readonly withSettings: boolean;
}

/** Puts a backup's cards, talks and, if wished, settings into the book as one step that can be undone. */
export function restoreBackup(
  { file, summary }: Pick<OpenedBackup, 'file' | 'summary'>,
  { isExact, withSettings, ...options }: RestoreOptions,
  read: ReadBackup = readBackupInWorker,
): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, getState) => {
    const label = texts.restoredBackupOf(summary.manifest.made.slice(0, 10));
    const { lastBackupAt: _, ...settings } = settingsSchema.parse(summary.settings ?? {});
    const now = selectSettings(getState());
    const edits = withSettings ? diffSettings(now, { ...now, ...settings }) : [];
    const sides: SideChange[] = edits.length === 0 ? [] : [{ kind: 'settings', edits }];
    const wish = { cause: 'import' as const, label, ...(sides.length === 0 ? {} : { sides }) };
    return dispatch(changeLong(wish, dispatch(piecesOf(file, isExact, read)), options));
  };
}

function monthOfChange({ before, after }: TalkChange): string {
  const talk = after ?? before;
  return talk ? monthOf(talk) : '';
}

/** Talks of a month that are gathered at most. */
const MONTH = 40_000;
/** Talks of one piece at most: it writes the month anew, and the summaries of its people. */
const TALKS = 1500;

/** With the first of their people side by side, so that few summaries are written with each piece. */
function byPeople(changes: readonly TalkChange[]): TalkChange[] {
  const personOf = ({ before, after }: TalkChange) => (after ?? before)?.with[0] ?? '';
  return changes
    .map((change) => [personOf(change), change] as const)
    .sort(([a], [b]) => (a < b ? -1 : Number(a > b)))
    .map(([, change]) => change);
}

/** Cards that go at a time. */
const PIECE = 200;

/** What makes the book that of a backup, piece by piece as it is read. */
function piecesOf(file: Blob, isExact: boolean, read: ReadBackup): AppThunk<AsyncIterable<LongPiece>> {
  return (dispatch, getState, services) => {
    const pipe = new Pipe<LongPiece>();
    const kept = new Set<Uid>();
    let share01 = 0;
    let talks: BookTalks | undefined;
    let isGone = false;
    const bookTalks = async () => (talks ??= await dispatch(readBookTalks()));
    /** What is not in the backup goes once its last card, or its last talk, has come. */
    const removeCards = async () => {
      if (!isExact || isGone) return;
      isGone = true;
      const gone = selectCardsByUid(getState())
        .values()
        .filter(({ uid }) => !kept.has(uid));
      for (const some of inBatches([...gone], PIECE)) await pipe.give({ edits: some.map(removed), share01 });
    };
    /** Talks of one month wait for each other. */
    let month: TalkChange[] = [];
    const giveMonth = async () => {
      const whole = month;
      month = [];
      for (const talks of inBatches(byPeople(whole), TALKS)) await pipe.give({ edits: [], talks, share01 });
    };
    const gather = async (changes: readonly TalkChange[]) => {
      const [first, last] = [changes[0], month.at(-1)];
      if (first && last && (monthOfChange(first) !== monthOfChange(last) || month.length >= MONTH))
        await giveMonth();
      month.push(...changes);
    };
    const job = read(file, {
      onProgress: (share) => (share01 = share),
      onCards: (cards) => {
        for (const { uid } of cards) kept.add(uid);
        // A restored card takes the place of what there is: that is what restoring means.
        const edits = cards.map((card: Card) => ({ uid: card.uid, apply: () => card }));
        return pipe.give({ edits, share01 });
      },
      onTalks: async (some) => {
        await removeCards();
        const light = await withoutFiles(some, services.photos);
        for (const changes of await (await bookTalks()).restored(light)) await gather(changes);
      },
    });
    const finish = async () => {
      await job.result;
      await giveMonth();
      await removeCards();
      if (!isExact) return;
      for await (const changes of (await bookTalks()).left())
        await pipe.give({ edits: [], talks: changes, share01 });
    };
    void finish().then(
      () => pipe.close(),
      (error: unknown) => pipe.close(error),
    );
    return stopping(pipe, job);
  };
}

/** Ends the reading where nobody wants any more of it. */
async function* stopping<T>(pieces: AsyncIterable<T>, job: Job<unknown>): AsyncIterable<T> {
  try {
    yield* pieces;
  } finally {
    job.stop();
  }
}

function readBookTalks(): AppThunk<Promise<BookTalks>> {
  return async (_, __, { storage, writer, yieldToPage }) => {
    await writer.flush();
    const keys = keysUnder(await storage.getAllKeys(), KEYS.talks).sort();
    const monthOfId = new Map<string, string>();
    for (const key of keys) {
      const month = key.slice(KEYS.talks.length);
      for (const { id } of parseShard(await storage.getItem(key))) monthOfId.set(id, month);
      await yieldToPage();
    }
    const readMonth = async (month: string) => parseShard(await storage.getItem(`${KEYS.talks}${month}`));
    return new BookTalks(monthOfId, readMonth);
  };
}

/** The book's talks while a backup is read; the last month is in memory, of the others only the ids. */
class BookTalks {
  private last: { readonly month: string; readonly talks: ReadonlyMap<string, Talk> } | undefined;

  /** @param monthOfId - of each talk of the book that the backup has not named yet */
  constructor(
    private readonly monthOfId: Map<string, string>,
    private readonly readMonth: (month: string) => Promise<Talk[]>,
  ) {}

  /** What makes the book's talks those of the backup, by months; those that are the same are left out. */
  async restored(talks: readonly Talk[]): Promise<TalkChange[][]> {
    const byMonth = new Map<string, TalkChange[]>();
    for (const after of talks) {
      const before = await this.find(after.id);
      this.monthOfId.delete(after.id);
      if (before && isSameJson(before, after)) continue;
      const month = monthOf(after);
      byMonth.set(month, [...(byMonth.get(month) ?? []), before ? { before, after } : { after }]);
    }
    return [...byMonth.values()];
  }

  /** The talks that the backup has not named, month by month, as deletions. */
  async *left(): AsyncIterable<TalkChange[]> {
    for (const month of [...new Set(this.monthOfId.values())].sort()) {
      const talks = await this.readMonth(month);
      yield talks.flatMap((before) => (this.monthOfId.has(before.id) ? [{ before }] : []));
    }
  }

  private async find(id: string): Promise<Talk | undefined> {
    const month = this.monthOfId.get(id);
    if (month === undefined) return undefined;
    if (this.last?.month !== month) {
      const talks = await this.readMonth(month);
      this.last = { month, talks: new Map(talks.map((talk) => [talk.id, talk])) };
    }
    return this.last.talks.get(id);
  }
}
