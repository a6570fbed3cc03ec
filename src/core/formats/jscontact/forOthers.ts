import { type Card, deriveName } from '@/core/card';

/** Members of what is no group, which RFC 9553 §2.1.6 doesn't allow. */
const MEMBERS = 'cordialis.example:members';
/** Marks a name as a whole that its parts give. */
const DERIVED = 'cordialis.example:derived';

/** A card as others read it: with its name as a whole, which some go by alone, and members on groups only. */
export function forOthers({ members, ...card }: Card): object {
  const full = card.name?.full === undefined ? deriveName(card.name) : '';
  return {
    ...card,
    ...(full === '' ? {} : { name: { ...card.name, full, [DERIVED]: true } }),
    ...(members === undefined ? {} : { [card.kind === 'group' ? 'members' : MEMBERS]: members }),
  };
}

/** The same card read back. */
export function fromOthers(card: Card): Card {
  const { [MEMBERS]: members, ...rest } = card as Card & { readonly [MEMBERS]?: Card['members'] };
  const read: Card = members === undefined ? card : { ...rest, members };
  const { name } = read;
  if (!name || !Object.hasOwn(name, DERIVED)) return read;
  const { [DERIVED]: _, full, ...parts } = name as typeof name & { readonly [DERIVED]?: unknown };
  // Somebody who has changed one of them has left the mark.
  const isSame = full === deriveName(parts);
  return { ...read, name: isSame || full === undefined ? parts : { ...parts, full } };
}
