import { shortFormLines } from './compareNames';
import type { DuplicateFacts } from './facts';

/**
 * With which letters somebody's names begin, short and long forms of them included, as bits; 0 where there is no name, or
 * an organisation's.
 */
export function nameMask({ isOrg, given, surname, nicknames }: DuplicateFacts): number {
  if (isOrg || given.length === 0 || surname.length === 0) return 0;
  let mask = 0;
  for (const word of [...given, ...surname, ...nicknames]) {
    mask |= bitOf(word);
    for (const line of shortFormLines(word)) mask |= 1 << (27 + (line % 4));
  }
  return mask;
}

/** Whether no name of the one could be a writing of a name of the other: none begins alike or is a short form of one. */
export function areStrangers(mine: number, theirs: number): boolean {
  return mine !== 0 && theirs !== 0 && (mine & theirs) === 0;
}

/** Words are in Latin letters; digits and all else share a bit. */
function bitOf(word: string): number {
  const place = word.charCodeAt(0) - 97;
  return 1 << (place >= 0 && place < 26 ? place : 26);
}
