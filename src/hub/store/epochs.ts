import { randomBytes } from 'node:crypto';

import { z } from 'zod';

import { type Heads, headsSchema } from '@/core/sync';

import { aboutOf, setAbout } from './about';
import type { HubDb } from './schema/tables';

/**
 * An epoch: the time between two restorations of a store from a backup. A number of a change means something within its epoch
 * only, as those after the backup are given anew.
 */
const epochSchema = z.object({
  id: z.string(),
  /** Up to where what happened in it has happened here too; undefined for the one that lasts. */
  upTo: headsSchema.optional(),
});
/** An epoch. */
export type Epoch = z.infer<typeof epochSchema>;

const NAME = 'epochs';
const kept = new WeakMap<HubDb, readonly Epoch[]>();

/** Reads the epochs of a store, beginning its first if need be. They change only while no hub is using it. */
export async function openEpochs(db: HubDb): Promise<void> {
  const known = await epochsIn(db);
  const epochs = known ?? [newEpoch()];
  if (!known) await keepEpochs(db, epochs);
  kept.set(db, epochs);
}

/** The epochs that a store has written down; undefined for none. */
export async function epochsIn(db: HubDb): Promise<readonly Epoch[] | undefined> {
  const said = await aboutOf(db, NAME);
  return said === undefined ? undefined : z.array(epochSchema).parse(JSON.parse(said));
}

/** An epoch of its own. */
function newEpoch(): Epoch {
  return { id: randomBytes(6).toString('hex') };
}

/** Writes the epochs of a store. */
export function keepEpochs(db: HubDb, epochs: readonly Epoch[]): Promise<void> {
  return setAbout(db, NAME, JSON.stringify(epochs));
}

/** All epochs of a store, the one that lasts at the end. */
function epochsOf(db: HubDb): readonly Epoch[] {
  const epochs = kept.get(db);
  if (!epochs) throw new Error('the store has no epochs');
  return epochs;
}

/** The epoch that lasts. */
export function epochOf(db: HubDb): string {
  return epochsOf(db).at(-1)?.id ?? '';
}

/** The epoch of whoever doesn't say: of the time before there were others. */
export function firstEpoch(db: HubDb): string {
  return epochsOf(db)[0]?.id ?? '';
}

/** Up to where an epoch has happened here as well; undefined for the one that lasts, all of which has. */
export function sharedWith(db: HubDb, epoch: string): Heads | undefined {
  const known = epochsOf(db).find(({ id }) => id === epoch);
  // Of one that isn't known nothing is.
  return known ? known.upTo : { cards: 0, records: 0 };
}

/** The last numbers that a store has given. */
export async function headsOf(db: HubDb): Promise<Heads> {
  const last = (table: 'changes' | 'records') =>
    db
      .selectFrom(table)
      .select(({ fn }) => fn.max('seq').as('seq'))
      .executeTakeFirst();
  return { cards: (await last('changes'))?.seq ?? 0, records: (await last('records'))?.seq ?? 0 };
}

/**
 * The epochs of a store that has been restored from a backup.
 *
 * @param backup - its epochs, and the last numbers in it
 * @param replaced - the epochs of the store that it takes the place of, where there was one: what was told of them is shared up
 *   to the backup
 */
export function epochsAfter(
  backup: { readonly epochs: readonly Epoch[]; readonly heads: Heads },
  replaced: readonly Epoch[] = [],
): Epoch[] {
  const { epochs, heads } = backup;
  const last = epochs.at(-1);
  const closed = epochs.map((epoch) => (epoch === last ? { ...epoch, upTo: heads } : epoch));
  const at = replaced.findIndex(({ id }) => id === last?.id);
  const between = replaced[at]?.upTo;
  const shared = between
    ? { cards: Math.min(heads.cards, between.cards), records: Math.min(heads.records, between.records) }
    : heads;
  const later = at < 0 ? [] : replaced.slice(at + 1).map(({ id }) => ({ id, upTo: shared }));
  return [...closed, ...later, newEpoch()];
}
