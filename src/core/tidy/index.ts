/**
 * Tidy: duplicates, merging, bundles, gaps and faults.
 * Standards: Fellegi and Sunter, "A Theory for Record Linkage" (1969); Jaro (1989) and Winkler (1990) for names; entries and
 * their ids as in RFC 9553; E.164 and RFC 5321 for faults.
 * Left out: undoing a merge, which the history does (book); finding gaps in talks.
 *
 * duplicates/  cards that are the same person or organisation, by weighing the evidence
 * merging/     one card made of several, with nothing lost
 * bundles/     cards of several sources shown as one person, each kept as it is
 * faults/      what on a card can't be right or is missing, and what would correct it
 */
export { bundleCards, bundledWith, findLeads, takeOut, throughLeads } from './bundles/bundle';
export { jointCard } from './bundles/jointCard';
export { planForBundles } from './bundles/planForBundles';
export type { Cluster } from './duplicates/cluster';
export { DuplicateIndex } from './duplicates/duplicateIndex';
export { duplicateFacts } from './duplicates/facts/facts';
export type { Grade } from './duplicates/grade';
export { groupDuplicates } from './duplicates/groupDuplicates';
export { dismissFault, type Fault, FAULT_CODES, type FaultCode, fixCard, isStillWrong } from './faults/fault';
export { FaultFinder, type FaultOptions } from './faults/faultFinder';
export { mergeCards, type MergeChoices } from './merging/mergeCards';
export { mergeGroups } from './merging/mergeGroups';
export { findDifferent } from './merging/singleValues';
