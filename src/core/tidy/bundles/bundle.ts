import type { Card, Uid } from '@/core/card';

/** The cards bundled under a card. */
export function bundledWith(card: Card): Uid[] {
  return Object.keys(card['cordialis.example:bundled'] ?? {}).filter((uid) => uid !== card.uid);
}

/**
 * Bundles cards under the first. Bundles led by the others are absorbed, so that no bundle is inside another.
 *
 * @returns the cards that change
 */
export function bundleCards([lead, ...others]: readonly [Card, ...Card[]]): Card[] {
  const uids = new Set([lead, ...others].flatMap((card) => [card.uid, ...bundledWith(card)]));
  uids.delete(lead.uid);
  if (uids.size === 0) return [];
  const bundled = Object.fromEntries([...uids].map((uid) => [uid, true as const]));
  const freed = others.filter((card) => bundledWith(card).length > 0).map(withoutBundle);
  return [{ ...lead, 'cordialis.example:bundled': bundled }, ...freed];
}

/** Removes a card from a bundle; without its last card the bundle is gone. */
export function takeOut(lead: Card, uid: Uid): Card {
  const { [uid]: _, ...rest } = lead['cordialis.example:bundled'] ?? {};
  return Object.keys(rest).length === 0
    ? withoutBundle(lead)
    : { ...lead, 'cordialis.example:bundled': rest };
}

function withoutBundle(card: Card): Card {
  const { 'cordialis.example:bundled': _, ...rest } = card;
  return rest;
}

/** The bundle that a row or a card leads. */
interface Leading {
  readonly uid: Uid;
  readonly bundled: readonly Uid[];
}

/**
 * By the uid of each card that another stands for, the uid of that one. Where two claim one, the first by uid has it;
 * a card that leads is itself never hidden, so that nobody is lost from sight by two that name each other.
 */
export function findLeads(leading: readonly Leading[]): ReadonlyMap<Uid, Uid> {
  const leads = new Map<Uid, Uid>();
  const first = [...leading].sort((a, b) => (a.uid < b.uid ? -1 : 1));
  const heads = new Set(first.filter(({ bundled }) => bundled.length > 0).map(({ uid }) => uid));
  for (const { uid, bundled } of first)
    for (const other of bundled) if (!leads.has(other) && !heads.has(other)) leads.set(other, uid);
  return leads;
}

/** Replaces hits on bundled cards by their leads; of several hits in one bundle the first is kept. */
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
