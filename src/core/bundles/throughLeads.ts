import type { Uid } from '../card';

/** What was found of cards that others stand for, as found of those others; of several of one bundle the first. */
export function throughLeads<T extends { readonly uid: Uid }>(
  found: readonly T[],
  leads: ReadonlyMap<Uid, Uid>,
): T[] {
  const seen = new Set<Uid>();
  return found.flatMap((one) => {
    const uid = leads.get(one.uid) ?? one.uid;
    if (seen.has(uid)) return [];
    seen.add(uid);
    return uid === one.uid ? [one] : [{ ...one, uid }];
  });
}
