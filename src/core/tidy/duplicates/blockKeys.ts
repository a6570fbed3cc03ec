import { shortFormLines } from './compareNames';
import type { DuplicateFacts } from './facts';
import { NUMBER_TAIL } from './reachEvidence';
import { soundOf } from './soundOf';

/**
 * The blocking keys of a card: only cards that share a key are compared, so that the work grows with the book and not
 * with its square. Each key is for one way in which duplicates differ: an address changed, a name
 * misspelt, swapped,
 * shortened to an initial, written in another script.
 */
export function blockKeys(facts: DuplicateFacts): Set<string> {
  const { mails, phones, given, surname, birth, house, employers, isOrg, nicknames } = facts;
  const keys = new Set<string>();
  for (const mail of mails) keys.add(`m ${mail}`);
  for (const phone of phones) keys.add(`p ${phone.slice(-NUMBER_TAIL)}`);
  if (isOrg) {
    for (const word of house) if (word.length > 2) keys.add(`h ${soundOf(word)}`);
    return keys;
  }
  const all = [...new Set([...given, ...surname])];
  const sounds = all.filter((word) => word.length > 1).map(soundOf);
  // Any two words by their sounds, in any order.
  for (let i = 0; i < sounds.length; i += 1)
    for (let j = i + 1; j < sounds.length; j += 1) keys.add(`n ${[sounds[i], sounds[j]].sort().join(' ')}`);
  for (const name of surname) {
    for (const word of given) {
      keys.add(`i ${name} ${word.charAt(0)}`);
      for (const line of shortFormLines(word)) keys.add(`k ${line} ${name}`);
    }
    for (const word of nicknames) keys.add(`i ${name} ${word.charAt(0)}`);
  }
  if (all.length === 1) keys.add(`w ${all[0] ?? ''}`);
  if (birth?.day !== undefined && given[0] !== undefined)
    keys.add(`b ${birth.month ?? ''}-${birth.day} ${given[0].charAt(0)}`);
  for (const name of employers) if (given[0] !== undefined && name !== '') keys.add(`o ${name} ${given[0]}`);
  return keys;
}

/** Whether a key is a mail address or a number. */
export function isForReach(key: string): boolean {
  return key.startsWith('m ') || key.startsWith('p ');
}

/** Whether a key is a number. */
export function isForNumber(key: string): boolean {
  return key.startsWith('p ');
}

/** Whether a key only serves cards with a bare initial or a nickname. */
export function isForInitials(key: string): boolean {
  return key.startsWith('i ');
}

/** Whether somebody's given name is no more than an initial, or they have a nickname. */
export function goesByInitial({ given, nicknames }: DuplicateFacts): boolean {
  return given[0]?.length === 1 || nicknames.length > 0;
}
