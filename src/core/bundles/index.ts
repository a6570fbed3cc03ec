/**
 * Bundles: cards of several sources shown as one person, each kept as it is.
 * Standard: none; a vendor property of the card that stands for the others names them.
 * Left out: making one card of them (core/merging).
 */
export { bundleCards, bundledWith, findLeads, takeOut } from './bundle';
export { jointCard } from './jointCard';
export { throughLeads } from './throughLeads';
export { onePerBundle, planForBundles } from './planForBundles';
