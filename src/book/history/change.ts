import { isSameJson } from '@/core/base';
import {
  applyEdits,
  type Card,
  diffCards,
  type Direction,
  type Edit,
  type Uid,
  uniteJson,
} from '@/core/card';
import type { News, Talk } from '@/core/talks';

/** Why the book changed. */
export type Cause = 'add' | 'edit' | 'delete' | 'import' | 'merge' | 'sync';

/** What happened to one card. An added card is kept here only once it has been undone. */
export type CardChange =
  | { readonly kind: 'add'; readonly uid: Uid; readonly card?: Card }
  | { readonly kind: 'remove'; readonly uid: Uid; readonly card: Card }
  | { readonly kind: 'edit'; readonly uid: Uid; readonly edits: readonly Edit[] };

/** A talk before and after; undefined where there is none. */
export interface TalkChange {
  readonly before?: Talk | undefined;
  readonly after?: Talk | undefined;
}

/** A piece of news as it is stored; a dismissed one is kept, so that it never returns. */
export interface StoredNews {
  readonly news: News;
  readonly isDismissed?: boolean;
}

/** One setting, or one entry of a setting that is a table of them (the colours of tags), before and after. */
export interface SettingEdit {
  readonly key: string;
  readonly entry?: string;
  readonly before?: unknown;
  readonly after?: unknown;
}

/** What changed beside cards and talks and is undone together with them: settings, or whether news is offered. */
export type SideChange =
  | { readonly kind: 'settings'; readonly edits: readonly SettingEdit[] }
  | { readonly kind: 'news'; readonly before: StoredNews; readonly after: StoredNews };

/** One step of the book's history, undone and redone as a whole. */
export interface Change {
  /** Sorts by time. */
  readonly id: string;
  /** UTCDateTime. */
  readonly at: string;
  readonly cause: Cause;
  /** In words, for the log: "Deleted Ada Lowther". */
  readonly label: string;
  readonly cards: readonly CardChange[];
  /** Talks that came, went or changed with it. */
  readonly talks?: readonly TalkChange[];
  /** Settings and the like that changed with it. */
  readonly sides?: readonly SideChange[];
  /** Names the import of talks that it stands for; they are too many to be listed here. */
  readonly intake?: string;
  /** Dropped: undone, after which something else was done. */
  readonly state: 'done' | 'undone' | 'dropped';
}

/** A card before and after; undefined where there is none. */
export interface BeforeAfter {
  readonly before?: Card | undefined;
  readonly after?: Card | undefined;
}

/** The change per card; unchanged cards have none. */
export function toCardChanges(pairs: readonly BeforeAfter[]): CardChange[] {
  return pairs.flatMap(({ before, after }): CardChange[] => {
    if (!before) return after ? [{ kind: 'add', uid: after.uid }] : [];
    if (!after) return [{ kind: 'remove', uid: before.uid, card: before }];
    // When it was changed says nothing that could be undone.
    const edits = diffCards(before, after).filter(({ path }) => path[0] !== 'updated');
    return edits.length === 0 ? [] : [{ kind: 'edit', uid: after.uid, edits }];
  });
}

/** The effect of undoing or redoing a change. */
export interface Replay {
  readonly change: Change;
  readonly upserts: Card[];
  readonly removed: Uid[];
  /** Values left as they are because they have been changed since. */
  readonly missed: number;
}

/** Undoes ('backward') or redoes ('forward') a change on the book as it is now. @param stamp - UTCDateTime of now */
export function replayChange(
  change: Change,
  direction: Direction,
  getCard: (uid: Uid) => Card | undefined,
  stamp: string,
): Replay {
  const upserts: Card[] = [];
  const removed: Uid[] = [];
  let missed = 0;
  const cards = change.cards.map((one): CardChange => {
    const now = getCard(one.uid);
    if (one.kind === 'edit') {
      if (!now) {
        missed += one.edits.length;
        return one;
      }
      const applied = applyEdits(now, one.edits, direction);
      missed += applied.missed.length;
      if (applied.value !== now) upserts.push({ ...applied.value, updated: stamp });
      return one;
    }
    const comes = (one.kind === 'add') === (direction === 'forward');
    if (!comes) {
      if (now) removed.push(one.uid);
      return now ? { ...one, card: now } : one;
    }
    if (!one.card) missed += 1;
    else if (!now) upserts.push(one.card);
    else {
      // Somebody else has brought it back meanwhile: both have their values, and theirs stand.
      const both = uniteJson(one.card, now);
      if (!isSameJson(both, now)) upserts.push({ ...both, updated: stamp });
    }
    return one;
  });
  return {
    change: { ...change, cards, state: stateAfter(change, direction) },
    upserts,
    removed,
    missed,
  };
}

/** Undone talks of an import are gone: their files have to be read again. */
function stateAfter({ intake }: Change, direction: Direction): Change['state'] {
  if (direction === 'forward') return 'done';
  return intake === undefined ? 'undone' : 'dropped';
}

/** The effect of undoing or redoing the talks of a change. */
export interface TalkReplay {
  /** The talks of the step, with what brings back those that went. */
  readonly talks: readonly TalkChange[];
  /** From the talks as they are to the talks as they shall be. */
  readonly changes: readonly TalkChange[];
  /** Values left as they are because they have been changed since. */
  readonly missed: number;
}

/** Undoes or redoes what a change did to talks, on the talks as they are now. @param now - by id, those that are there */
export function replayTalkChanges(
  talks: readonly TalkChange[],
  direction: Direction,
  now: ReadonlyMap<string, Talk>,
): TalkReplay {
  const changes: TalkChange[] = [];
  let missed = 0;
  const replayed = talks.map((one): TalkChange => {
    const [from, to] = direction === 'forward' ? [one.before, one.after] : [one.after, one.before];
    const talk = now.get((to ?? from)?.id ?? '');
    if (from && to) {
      if (!talk) {
        missed += 1;
        return one;
      }
      const applied = applyEdits(talk, diffCards(from, to));
      missed += applied.missed.length;
      if (applied.value !== talk) changes.push({ before: talk, after: applied.value });
      return one;
    }
    if (to) {
      if (talk) missed += 1;
      else changes.push({ after: to });
      return one;
    }
    if (!talk) return one;
    changes.push({ before: talk });
    // What has been changed of it since comes back with it.
    return direction === 'forward' ? { ...one, before: talk } : { ...one, after: talk };
  });
  return { talks: replayed, changes, missed };
}
