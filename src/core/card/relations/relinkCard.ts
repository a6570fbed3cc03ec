import { relinkNote } from '../notes/cardLinks';
import type { Card, Uid } from '../schema/types';

/** Properties that are kept by the uid of another card. */
const BY_UID = [
  ...(['relatedTo', 'members', 'cordialis.example:memberReach', 'cordialis.example:apart'] as const),
  'cordialis.example:bundled',
] as const;

/**
 * A card with what it says of other cards said of those that they have become; the card itself where it says nothing of
 * them. What it would then say of itself goes.
 *
 * @param becomes - by the uids of cards that are gone, those of the cards that have taken their place
 */
export function relinkCard(card: Card, becomes: ReadonlyMap<Uid, Uid>): Card {
  const changed: Record<string, unknown> = {};
  for (const property of BY_UID) {
    const record = card[property];
    if (record && Object.keys(record).some((uid) => becomes.has(uid)))
      changed[property] = renamed<unknown>(record, becomes, card.uid);
  }
  for (const [id, entry] of Object.entries(card.notes ?? {})) {
    const note = relinkNote(entry.note, becomes);
    if (note !== entry.note)
      changed['notes'] = { ...card.notes, ...(changed['notes'] as Card['notes']), [id]: { ...entry, note } };
  }
  if (Object.keys(changed).length === 0) return card;
  const all = Object.entries({ ...card, ...changed }).filter(([, value]) => value !== undefined);
  // The properties of a valid card, some of them with other keys.
  return Object.fromEntries(all) as Card;
}

/** The record under the new uids; what stands under one already stays. Undefined where nothing is left. */
function renamed<T>(
  record: Readonly<Record<string, T>>,
  becomes: ReadonlyMap<Uid, Uid>,
  own: Uid,
): Record<string, T> | undefined {
  const moved = Object.entries(record).map(([uid, value]) => [becomes.get(uid) ?? uid, value] as const);
  const kept = Object.entries(record).filter(([uid]) => !becomes.has(uid));
  const { [own]: _, ...next } = { ...Object.fromEntries(moved), ...Object.fromEntries(kept) };
  return Object.keys(next).length === 0 ? undefined : next;
}
