import { type Card, newCard, type Uid } from '@/core/card';

/** Whether a card is a list: a group of cards (KIND:group of RFC 6350 §6.1.4). */
export function isList(card: Card): boolean {
  return card.kind === 'group';
}

/** A list without anybody on it. @param now - RFC 9553 §1.4.5 */
export function newList(uid: Uid, name: string, now: string): Card {
  return { ...newCard(uid, now), kind: 'group', name: { full: name } };
}

/** A rule list (core/find/rules). */
export function newRuleList(uid: Uid, name: string, now: string, rule: unknown): Card {
  return { ...newList(uid, name, now), 'cordialis.example:rule': rule };
}

/** Whether a card is a rule list. */
export function isRuleList(card: Card): boolean {
  return isList(card) && card['cordialis.example:rule'] !== undefined;
}

/** A rule list for a file: whoever the rule is true of now is written as a member, for programs that know no rules. */
export function toPickedList(list: Card, uids: readonly Uid[]): Card {
  return isRuleList(list) ? withMembers(list, uids) : list;
}

/** The list as the book keeps it: a rule list's members come from its rule, whatever a file says. */
export function withoutWrittenMembers(list: Card): Card {
  return isRuleList(list) ? withoutMembers(list, memberUids(list)) : list;
}

/** The picked members of a list, in the order they were added. */
export function memberUids(list: Card): Uid[] {
  return Object.keys(list.members ?? {});
}

/** The list with more members; present ones keep their place. A list is never its own member. */
export function withMembers(list: Card, uids: readonly Uid[]): Card {
  const fresh = uids.filter((uid) => uid !== list.uid && !Object.hasOwn(list.members ?? {}, uid));
  if (fresh.length === 0) return list;
  return {
    ...list,
    members: { ...list.members, ...Object.fromEntries(fresh.map((uid) => [uid, true as const])) },
  };
}

/** The list without some of its members. */
export function withoutMembers(list: Card, uids: readonly Uid[]): Card {
  const gone = new Set(uids);
  const kept = memberUids(list).filter((uid) => !gone.has(uid));
  if (kept.length === memberUids(list).length) return list;
  const { members: _, 'cordialis.example:memberReach': reach = {}, ...rest } = list;
  const keptReach = Object.fromEntries(Object.entries(reach).filter(([uid]) => !gone.has(uid)));
  return {
    ...rest,
    ...(Object.keys(keptReach).length === 0 ? {} : { 'cordialis.example:memberReach': keptReach }),
    ...(kept.length === 0 ? {} : { members: Object.fromEntries(kept.map((uid) => [uid, true as const])) }),
  };
}
