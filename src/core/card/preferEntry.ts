import type { Card } from './schema/types';

/** Collections of which one entry can be the preferred one and is acted on first. */
export type Preferable = 'phones' | 'emails' | 'addresses' | 'links' | 'onlineServices';

/** The most preferred entry (the lowest `pref`, RFC 9553 §1.5.2), else the first; undefined where there is none. */
export function preferredEntry<E extends { readonly pref?: number }>(
  entries: { readonly [id: string]: E } | undefined,
  isFit: (entry: NoInfer<E>) => boolean = () => true,
): E | undefined {
  const fit = Object.values(entries ?? {}).filter(isFit);
  // A stable sort, so that the first of equals stays first.
  return fit.sort((a, b) => (a.pref ?? 101) - (b.pref ?? 101))[0];
}

/** The card with one entry as the only one of preference 1; an id that isn't there changes nothing. */
export function preferEntry(card: Card, collection: Preferable, id: string): Card {
  const entries = card[collection];
  if (!entries || !Object.hasOwn(entries, id)) return card;
  const preferred = Object.fromEntries(
    Object.entries(entries).map(([key, entry]) => {
      if (key === id) return [key, { ...entry, pref: 1 }];
      const { pref, ...rest } = entry;
      return [key, pref === 1 ? rest : entry];
    }),
  );
  return { ...card, [collection]: preferred };
}
