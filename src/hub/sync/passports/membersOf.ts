import { findPeople, isList } from '@/core/lists';
import { findCard, type HubDb } from '@/hub/store';

/**
 * The members of lists: as reported by the application, which knows the talks that rules may need; for an unreported
 * list, its picked members and those of the lists on it.
 *
 * @param lists - uids
 */
export async function membersOf(db: HubDb, lists: readonly string[]): Promise<ReadonlySet<string>> {
  const members = new Set<string>();
  for (const uid of lists) {
    const uids = (await sentMembers(db, uid)) ?? (await chosenOn(db, uid));
    for (const one of uids) members.add(one);
  }
  return members;
}

/** The reported members of a list; undefined before the first report. */
export async function sentMembers(db: HubDb, list: string): Promise<string[] | undefined> {
  const known = await db.selectFrom('members').select('uids').where('list', '=', list).executeTakeFirst();
  // Written by setMembers only.
  return known && (JSON.parse(known.uids) as string[]);
}

async function chosenOn(db: HubDb, uid: string): Promise<string[]> {
  const list = await findCard(db, uid);
  if (!list) return [];
  const known = new Map([[uid, list]]);
  const open = Object.keys(list.members ?? {});
  // Lists on it are few; each is looked at once.
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (known.has(next)) continue;
    const card = await findCard(db, next);
    if (!card) continue;
    known.set(next, card);
    if (isList(card)) open.push(...Object.keys(card.members ?? {}));
  }
  return findPeople(list, (one) => known.get(one));
}
