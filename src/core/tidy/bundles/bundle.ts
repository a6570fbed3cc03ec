import type { Card, Uid } from '@/core/card';

/** The cards that a card stands for beside itself. */
export function bundledWith(card: Card): Uid[] {
  return Object.keys(card['cordialis.example:bundled'] ?? {}).filter((uid) => uid !== card.uid);
}

/**
 * Has the first of some cards stand for them all. What one of the others has stood for comes along, so that a bundle is
 * never inside another.
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

/** The card without one of those it stands for; with the last of them the bundle goes. */
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

/** What a row or a card says of the bundle that it leads. */
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
