/**
 * Unfiled: addresses that were written to and have no card yet.
 * Standard: addresses of RFC 5322, compared without regard to case.
 * Left out: reading mail (core/mail), which is large and is needed in a worker only.
 */
export { normalizeAddress } from './normalizeAddress';
export { mergeUnfiled, type Unfiled, unfiledSchema } from './unfiled';
