import { aboutOf, setAbout } from './about';
import { inTransaction } from './openStore';
import type { HubDb } from './schema/tables';
import { SEED_SAYS } from './seedDemo';

/** Whose store it is: a demo hands its cards to anybody who asks, one's own to nobody. */
export type Whose = 'own' | 'demo';
/** Under which name a store says it. */
const WHOSE = 'whose';

/**
 * Marks a store as whose it is, and keeps it so: a demo's and one's own never meet.
 *
 * @param folder - where it lies, for what is said
 * @throws Error where it is the other's
 */
export async function keepApart(db: HubDb, whose: Whose, folder: string): Promise<void> {
  const known = await aboutOf(db, WHOSE);
  const is = known ?? (await told(db));
  if (is !== undefined && is !== whose)
    throw new Error(
      is === 'demo'
        ? `the store in ${folder} is a demo’s; to have one’s own book elsewhere set CORDIALIS_DATA to another folder`
        : `the store in ${folder} holds somebody’s own book, which a demo doesn’t open; set CORDIALIS_DATA to another folder for the demo`,
    );
  if (known === undefined) await inTransaction(db, (store) => setAbout(store, WHOSE, whose));
}

/** Whose a store is that doesn't say: a demo's began with the demo's cards; undefined for an empty one. */
async function told(db: HubDb): Promise<Whose | undefined> {
  const first = await db.selectFrom('changes').select('says').orderBy('seq').limit(1).executeTakeFirst();
  if (first) return first.says === SEED_SAYS ? 'demo' : 'own';
  const browser = await db.selectFrom('browsers').select('id').limit(1).executeTakeFirst();
  const device = await db.selectFrom('devices').select('id').limit(1).executeTakeFirst();
  return browser || device ? 'own' : undefined;
}
