import { type Card, preferredEntry, type Uid } from '@/core/card';

import { memberUids, withMembers } from './list';

/** Which of a member's entries a list uses; the preferred one where nothing is said, or where it is gone. */
export interface MemberReach {
  readonly emailId?: string;
  readonly phoneId?: string;
}

const PROPERTY = 'cordialis.example:memberReach';

/** How a list reaches a member. */
export function reachFor(list: Card, uid: Uid): MemberReach {
  return list[PROPERTY]?.[uid] ?? {};
}

/** The list with its own choice for a member; an empty choice is removed. */
export function withReach(list: Card, uid: Uid, reach: MemberReach): Card {
  const { [uid]: _, ...others } = list[PROPERTY] ?? {};
  const next = Object.keys(reach).length === 0 ? others : { ...others, [uid]: reach };
  const { [PROPERTY]: __, ...rest } = list;
  return Object.keys(next).length === 0 ? rest : { ...rest, [PROPERTY]: next };
}

/** The mail address of a member for a list: its value is that of the card now. */
export function mailFor(list: Card, member: Card): string | undefined {
  const chosen = member.emails?.[reachFor(list, member.uid).emailId ?? ''];
  return (chosen ?? preferredEntry(member.emails))?.address;
}

/** The number of a member for a list. */
export function numberFor(list: Card, member: Card): string | undefined {
  const chosen = member.phones?.[reachFor(list, member.uid).phoneId ?? ''];
  return (chosen ?? preferredEntry(member.phones))?.number;
}

/** Members that are only a mail address, without a card (RFC 6350 §6.6.5 has MEMBER:mailto:…). */
export function bareAddresses(list: Card): { readonly uid: Uid; readonly address: string }[] {
  return memberUids(list).flatMap((uid) =>
    /^mailto:/i.test(uid) ? [{ uid, address: decodeURIComponent(uid.slice('mailto:'.length)) }] : [],
  );
}

/** The list with a mail address that has no card (RFC 6068 for what is escaped in it). */
export function withAddress(list: Card, address: string): Card {
  return withMembers(list, [`mailto:${encodeURIComponent(address.trim()).replaceAll('%40', '@')}`]);
}
