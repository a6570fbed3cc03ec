/**
 * The quick line: what a line asks for beside finding, and what it would do with a card before it is done.
 * Standard: none; ours. What opens outside goes by RFC 3966, 5724, 5870, 6068.
 * Left out: finding the cards, and doing it.
 */
export { type Fill, parseQuick, type Quick } from './parseQuick';
export { type Offer, type PlanContext, planAct, planNew, planQuick } from './planQuick';
export { type QuickVerb, type Verb, type Wanted } from './verbs';
