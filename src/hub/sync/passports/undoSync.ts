import { type Card, shownAs } from '@/core/card';
import { mergeThree } from '@/core/sync';
import { findCard, type HubDb, inTransaction, putCard, toCard } from '@/hub/store';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/passports';

/** The result of undoing a sync. */
export interface UndoneSync {
  /** Cards restored to their state before it. */
  readonly cards: number;
  /** Values left as they are, as they have been changed since. */
  readonly missed: number;
}

/** What undoing a sync needs. */
export interface UndoContext {
  readonly db: HubDb;
  /** UTCDateTime. */
  readonly now: string;
  /** ISO 3166-1 alpha-2, for numbers without a country code. */
  readonly country: string;
  /** The browser that asked for it. */
  readonly browser?: number;
}

/**
 * Undoes one sync of a device by a new change, which reaches every browser and device; what has been changed since stays.
 *
 * @returns undefined where there is no such sync, or it has been undone before
 */
export function undoSync(
  { db, now, country, browser }: UndoContext,
  sync: number,
): Promise<UndoneSync | undefined> {
  return inTransaction(db, async (store) => {
    const row = await store
      .selectFrom('syncs')
      .innerJoin('devices', 'devices.id', 'syncs.device')
      .select(['devices.id', 'devices.name', 'syncs.undone'])
      .where('syncs.id', '=', sync)
      .executeTakeFirst();
    if (!row || row.undone !== null) return undefined;
    const changes = await store
      .selectFrom('changes')
      .select(['uid', 'before', 'after'])
      .where('sync', '=', sync)
      .orderBy('seq')
      .execute();
    const byUid = new Map<string, { before: Card | undefined; after: Card | undefined }>();
    for (const { uid, before, after } of changes)
      byUid.set(uid, {
        before: byUid.has(uid) ? byUid.get(uid)?.before : cardIn(before),
        after: cardIn(after),
      });
    let [cards, missed] = [0, 0];
    // Of what isn't kept any more nothing can be taken back.
    for (const { uid, before, after } of changes)
      if ((before === '' || after === '') && byUid.delete(uid)) missed += 1;
    for (const [uid, { before, after }] of byUid) {
      const current = await findCard(store, uid);
      const back = takenBack({ before, after, current }, country);
      missed += back.missed;
      if (back.isSame) continue;
      const named = back.card ?? current ?? before;
      const says = texts.undidWhatDidTo(row.name, named ? shownAs(named) : shared.card);
      await putCard(store, uid, back.card && { ...back.card, updated: now }, {
        ...{ at: now, device: null, says },
        ...(browser === undefined ? {} : { browser }),
      });
      cards += 1;
    }
    await store.updateTable('syncs').set({ undone: now }).where('id', '=', sync).execute();
    return { cards, missed };
  });
}

function cardIn(text: string | null): Card | undefined {
  return text === null || text === '' ? undefined : toCard(text);
}

interface Sides {
  readonly before: Card | undefined;
  readonly after: Card | undefined;
  readonly current: Card | undefined;
}

interface TakenBack {
  readonly card: Card | undefined;
  readonly missed: number;
  readonly isSame: boolean;
}

function takenBack({ before, after, current }: Sides, country: string): TakenBack {
  const asItIs = { card: current, missed: 0, isSame: true };
  // A card that the device deleted comes back, unless it is back already.
  if (!after) return current || !before ? asItIs : { card: before, missed: 0, isSame: false };
  if (!current) return asItIs;
  // A card that the device brought goes, unless somebody has worked on it since.
  if (!before) {
    const isUntouched = plain(current) === plain(after);
    return isUntouched ? { card: undefined, missed: 0, isSame: false } : { ...asItIs, missed: 1 };
  }
  const { card, conflicts } = mergeThree(after, current, before, { country });
  return { card, missed: conflicts.length, isSame: plain(card) === plain(current) };
}

function plain({ updated: _, ...card }: Card): string {
  return JSON.stringify(card);
}
