/**
 * Duplicates: cards that are the same person or organisation, found by weighing evidence for and against.
 * Standard: Fellegi and Sunter, "A Theory for Record Linkage" (1969); Jaro (1989) and Winkler (1990) for names.
 * Left out: merging (core/merging); what the user has decided, which comes in as pairs kept apart.
 */
export { type DuplicateFacts, duplicateFacts } from './facts';
export { latinWords } from './latinWords';
export { organisationWords } from './organisationWords';
export { Frequencies } from './frequencies';
export { type Evidence } from './evidence';
export { type Judgement, judgePair } from './judgePair';
export { type Cluster, groupDuplicates, type FindOptions, type Grade, pairKey } from './groupDuplicates';
export { TwinIndex } from './twinIndex';
export { jaroWinkler } from './jaroWinkler';
