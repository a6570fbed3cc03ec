import type { Heads, KnownAnswer } from '@/core/sync';
import type { HubDb } from '@/hub/store';

/** Which cards there were with a change, and which talks there are that haven't changed since a record. */
export async function knownAt(db: HubDb, { cards, records }: Heads): Promise<KnownAnswer> {
  const last = db
    .selectFrom('changes')
    .select(({ fn }) => fn.max('seq').as('seq'))
    .where('seq', '<=', cards)
    .groupBy('uid');
  const there = await db
    .selectFrom('changes')
    .select('uid')
    .where('seq', 'in', last)
    .where('after', 'is not', null)
    .execute();
  const talks = await db
    .selectFrom('records')
    .select('id')
    .where('kind', '=', 'talk')
    .where('seq', '<=', records)
    .where('value', 'is not', null)
    .execute();
  return { cards: there.map(({ uid }) => uid), talks: talks.map(({ id }) => id) };
}
