import type { TalkChange } from '@/book/history';
import type { Card, Uid } from '@/core/card';
import type { TalkSummary } from '@/core/talks';

import { KEYS, namesUnder } from './keys';

/** What other pages need to know after a write. */
export interface Written {
  readonly uids: readonly Uid[];
  /** Steps of the history. */
  readonly steps: readonly string[];
  readonly settings: boolean;
  /** Months with talks that are new or have changed. */
  readonly months: readonly string[];
  /** Cards with a new summary of their talks. */
  readonly summaries: readonly Uid[];
  /** Cards still to be pushed to the hub. */
  readonly queued: readonly Uid[];
  /** Whether the pairing with the hub has changed. */
  readonly hub: boolean;
}

/** A write of nothing. */
export const NOTHING_WRITTEN: Written = {
  ...{ uids: [], steps: [], settings: false, months: [], summaries: [], queued: [], hub: false },
};

/** What the store turned out to have beside what this page has written: to be shown. */
export interface Merged {
  readonly cards: readonly Card[];
  readonly removed: readonly Uid[];
  readonly talks: readonly TalkChange[];
  readonly summaries: readonly (readonly [Uid, TalkSummary | undefined])[];
  /** As they are stored, unchecked. */
  readonly settings?: object | undefined;
}

/** Events of the writer. */
export interface WriterEvents {
  onSaving(): void;
  onSaved(written: Written): void;
  onFailed(message: string): void;
  onMerged(merged: Merged): void;
  /** Records that could not be read were set aside under other keys. */
  onSetAside(names: readonly string[]): void;
}

/** What a write was, by the keys that were written. @param isQueued - whether the hub has still to be told of a card */
export function describeWritten(written: ReadonlySet<string>, isQueued: (uid: Uid) => boolean): Written {
  const keys = [...written];
  return {
    uids: namesUnder(keys, KEYS.card),
    steps: namesUnder(keys, KEYS.step),
    settings: written.has(KEYS.settings),
    months: namesUnder(keys, KEYS.talks),
    summaries: namesUnder(keys, KEYS.summary),
    queued: namesUnder(keys, KEYS.card).filter(isQueued),
    hub: written.has(KEYS.hub),
  };
}
