/**
 * Lists of people: members, lists on lists, a third list made from two.
 * Standard: a list is a card of kind group with members (RFC 6350 §6.1.4 and §6.6.5, RFC 9553 §2.1.6), so that it has a
 * history, and is imported and exported, as every card is.
 * Left out: filling a list by a rule (core/find/rules), writing to it (core/write).
 */
export { type Combination, combine } from './combine';
export { findPeople, wouldContainItself } from './findPeople';
export {
  isList,
  isRuleList,
  memberUids,
  newList,
  newRuleList,
  toPickedList,
  withMembers,
  withoutMembers,
  withoutWrittenMembers,
} from './list';
export { bareAddresses, type MemberReach, reachFor, withAddress, withReach } from './memberReach';
