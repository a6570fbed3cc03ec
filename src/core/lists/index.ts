/**
 * Lists of people: who is on them, lists on lists, a third list out of two.
 * Standard: a list is a card of the kind group with members (RFC 6350 §6.1.4 and §6.6.5, RFC 9553 §2.1.6), so that it
 * has a history, goes into files and comes out of them as every card does.
 * Left out: who gets a message (Write).
 */
export { type Combination, combine } from './combine';
export { findPeople, type GetCard, wouldHoldItself } from './findPeople';
export {
  asKept,
  asPicked,
  isList,
  isRuleList,
  memberUids,
  newList,
  newRuleList,
  withMembers,
  withoutMembers,
} from './list';
export {
  bareAddresses,
  mailFor,
  type MemberReach,
  numberFor,
  reachFor,
  withAddress,
  withReach,
} from './memberReach';
