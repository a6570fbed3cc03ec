import { shownAs } from '@/core/card';
import { type ChangeSource, findCard, type HubDb, inTransaction, putCard } from '@/hub/store';
import { texts } from '@/texts/sync/browsers';

/** Records the members of a list; where they changed, devices with that list get them. */
export function setMembers(
  db: HubDb,
  { list, uids }: { readonly list: string; readonly uids: readonly string[] },
  source: Omit<ChangeSource, 'says'>,
): Promise<void> {
  return inTransaction(db, async (store) => {
    const text = JSON.stringify([...uids].sort());
    const known = await store
      .selectFrom('members')
      .select('uids')
      .where('list', '=', list)
      .executeTakeFirst();
    if (known?.uids === text) return;
    await store
      .insertInto('members')
      .values({ list, uids: text })
      .onConflict((conflict) => conflict.column('list').doUpdateSet({ uids: text }))
      .execute();
    const card = await findCard(store, list);
    // The list's own card is marked as changed.
    if (card) await putCard(store, list, card, { ...source, says: texts.othersAreOn(shownAs(card)) });
  });
}
