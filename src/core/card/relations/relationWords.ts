/** RFC 6350 §6.6.6: how cards may be related, with the relation seen from the other side; and some of our own. */
const RELATIONS: readonly (readonly [relation: string, reverse: string, words: string])[] = [
  ['spouse', 'spouse', 'spouse'],
  ['parent', 'child', 'parent'],
  ['child', 'parent', 'child'],
  ['sibling', 'sibling', 'sibling'],
  ['kin', 'kin', 'relative'],
  ['sweetheart', 'sweetheart', 'sweetheart'],
  ['date', 'date', 'date'],
  ['crush', '', 'crush'],
  ['muse', '', 'muse'],
  ['friend', 'friend', 'friend'],
  ['acquaintance', 'acquaintance', 'acquaintance'],
  ['contact', 'contact', 'contact'],
  ['met', 'met', 'met once'],
  ['neighbor', 'neighbor', 'neighbour'],
  ['co-resident', 'co-resident', 'shares a home'],
  ['colleague', 'colleague', 'colleague'],
  ['co-worker', 'co-worker', 'works with'],
  ['cordialis.example:manager', 'cordialis.example:report', 'manager'],
  ['cordialis.example:report', 'cordialis.example:manager', 'reports to them'],
  ['cordialis.example:assistant', 'cordialis.example:assists', 'assistant'],
  ['cordialis.example:assists', 'cordialis.example:assistant', 'assists them'],
  ['agent', 'cordialis.example:acts-for', 'agent'],
  ['cordialis.example:acts-for', 'agent', 'acts for them'],
  ['emergency', '', 'in an emergency'],
  ['me', 'me', 'the same person'],
];

/** The words that a relation is chosen by. */
export const RELATION_WORDS: readonly string[] = RELATIONS.map(([, , words]) => words);

/** A relation in words: "parent, friend"; '' where nothing is said. */
export function relationLabel(relation: Readonly<Record<string, true>> = {}): string {
  return Object.keys(relation)
    .map((key) => RELATIONS.find(([one]) => one === key)?.[2] ?? key.replace(/^.*:/, ''))
    .join(', ');
}

/** Reads a relation back; words that no standard has become a relation of their own (RFC 9553 §1.7.2). */
export function parseRelation(label: string): Record<string, true> {
  const words = label.split(',').map((word) => word.trim().toLowerCase());
  return Object.fromEntries(
    words
      .filter(Boolean)
      .map((word) => [RELATIONS.find(([, , one]) => one === word)?.[0] ?? `cordialis.example:${word}`, true]),
  );
}

/** The same relation seen from the other card; empty where it says nothing about that one. */
export function reverseRelation(relation: Readonly<Record<string, true>> = {}): Record<string, true> {
  const reversed = Object.keys(relation).map((key) => RELATIONS.find(([one]) => one === key)?.[1] ?? '');
  return Object.fromEntries(reversed.filter(Boolean).map((key) => [key, true]));
}
