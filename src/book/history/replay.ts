import { isObject, isSameJson } from '@/core/base';
import {
  applyEdits,
  type Card,
  type Collection,
  diffCards,
  type Direction,
  type Edit,
  getAt,
  ID_PREFIXES,
  idFor,
  type Uid,
  uniteJson,
} from '@/core/card';
import type { Talk } from '@/core/talks';

import type { CardChange, TalkChange } from './change';

/** The effect of undoing or redoing what a step did to cards. */
export interface CardReplay {
  /** With what brings back those that went. */
  readonly cards: readonly CardChange[];
  readonly upserts: Card[];
  readonly removed: Uid[];
  /** Values left as they are because they have been changed since. */
  readonly missed: number;
}

/** Undoes ('backward') or redoes ('forward') changes of cards, as they are now. @param stamp - UTCDateTime of now */
export function replayCards(
  changes: readonly CardChange[],
  direction: Direction,
  getCard: (uid: Uid) => Card | undefined,
  stamp: string,
): CardReplay {
  const upserts: Card[] = [];
  const removed: Uid[] = [];
  let missed = 0;
  const cards = changes.map((one): CardChange => {
    const now = getCard(one.uid);
    if (one.kind === 'edit') {
      if (!now) {
        missed += one.edits.length;
        return one;
      }
      const applied = applyEdits(now, whereTheyLie(one.edits, direction, now), direction);
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
  return { cards, upserts, removed, missed };
}

/**
 * Edits that bring or take away an entry, by the id under which it lies now, or can lie: where two sides have added one
 * under the same id, one of them has got another (`rebaseJson`).
 */
function whereTheyLie(edits: readonly Edit[], direction: Direction, now: Card): readonly Edit[] {
  return edits.map((edit) => {
    const [collection = '', id = '', ...rest] = edit.path;
    if (rest.length > 0 || !Object.hasOwn(ID_PREFIXES, collection)) return edit;
    const [from, to] = direction === 'forward' ? [edit.before, edit.after] : [edit.after, edit.before];
    const entries = getAt(now, [collection]);
    const isAlone = (from === undefined) !== (to === undefined);
    if (!isAlone || !isObject(entries) || !Object.hasOwn(entries, id)) return edit;
    const entry = from ?? to;
    if (isSameJson(entries[id], entry)) return edit;
    const known = Object.entries(entries).find(([, one]) => isSameJson(one, entry))?.[0];
    const free = to === undefined ? undefined : idFor(collection as Collection, to, entries);
    const place = known ?? free;
    return place === undefined ? edit : { ...edit, path: [collection, place] };
  });
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
      if (talk || one.isSlim === true) missed += 1;
      else changes.push({ after: to });
      return one;
    }
    if (!talk) return one;
    changes.push({ before: talk });
    // What has been changed of it since comes back with it.
    return direction === 'forward' ? { before: talk } : { after: talk };
  });
  return { talks: replayed, changes, missed };
}
