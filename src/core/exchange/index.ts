/**
 * Exchange: what the application and the hub say to each other.
 * Standard: cards are JSContact objects (RFC 9553); the words of the exchange are ours.
 * Left out: merging (core/sync), carrying it (platform, hub).
 */
export { cardForHub } from './cardForHub';
export { fromHub } from './fromHub';
export { joinTalks } from './joinTalks';
export { talkForHub, talkFromHub } from './talkForHub';
export * from './mailbox';
export * from './wire';
