/**
 * A card as people read it: its values in groups, each with what can be done with it.
 * Standard: groups and uses by RFC 9553; addresses that open something by RFC 3966, 5724, 5870, 6068.
 * Left out: how it is drawn, and anything that changes the card.
 */
export { alsoKept } from './alsoKept';
export { type CardValue, type ShowOptions, type ValueGroup } from './cardValue';
export { cardValues } from './cardValues';
export { type Reach, reachOf } from './reachOf';
export { safeUri } from './safeUri';
export { type BriefLine, briefLines } from './briefLines';
