/**
 * The card as Zod schemas.
 * Standard: JSContact (RFC 9553), with the vCard additions of RFC 9555 §3.2.
 * Left out: no rule across cards; whether a related uid exists is the book's business.
 */
export { ADDRESS_KINDS } from './addressSchema';
export { cardSchema } from './cardSchema';
export { PHONE_FEATURES } from './contactSchema';
export { NAME_KINDS } from './nameSchema';
export type * from './types';
export { VENDOR } from './vendor';
