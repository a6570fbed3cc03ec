import { shortFormLines } from './compare/compareWords';
import { soundOf } from './compare/soundOf';
import type { DuplicateFacts } from './facts/facts';

/**
 * The blocking keys of a card: only cards that share a key are compared, so that the work grows with the book and not
 * with its square. Each key is for one way in which duplicates differ: an address changed, a name misspelt, swapped,
 * shortened to an initial, written in another script.
 */
export function blockKeys(facts: DuplicateFacts): Set<string> {
  const keys = new Set<string>();
  for (const mail of facts.mails) keys.add(`m ${mail}`);
  for (const { tail } of facts.phones) keys.add(`p ${tail}`);
  if (facts.isOrg) addHouseKeys(facts, keys);
  else {
    addNameKeys(facts, keys);
    addOtherKeys(facts, keys);
  }
  return keys;
}

function addHouseKeys({ house, hosts }: DuplicateFacts, keys: Set<string>): void {
  for (const word of house) if (word.length > 2) keys.add(`h ${soundOf(word)}`);
  // Of a sound that many have, those of one name; and of one name but for a slip, what is left of it beside the slip.
  if (house.length > 1) {
    keys.add(`g ${house.join('')}`);
    for (const word of house)
      keys.add(`g ${house.filter((one) => one !== word).join('')} ${word.slice(0, 3)}`);
  }
  for (const host of hosts) keys.add(`d ${host}`);
}

function addNameKeys({ name, nicknames }: DuplicateFacts, keys: Set<string>): void {
  const all = [...new Set(name.words.map(({ text }) => text))];
  const long = all.filter((word) => word.length > 1);
  const sounds = long.map(soundOf);
  // Any two words by their sounds, in any order.
  for (let i = 0; i < sounds.length; i += 1)
    for (let j = i + 1; j < sounds.length; j += 1) keys.add(`n ${[sounds[i], sounds[j]].sort().join(' ')}`);
  const initials = all.filter((word) => word.length === 1);
  const isShort = initials.length > 0 || nicknames.length > 0;
  for (const one of long) {
    // Who goes by an initial or a nickname is brought together with everybody whom that could be.
    for (const other of isShort ? [...initials, ...nicknames] : all)
      if (one !== other) keys.add(`i ${one} ${other.charAt(0)}`);
    for (const other of [...all, ...nicknames])
      if (one !== other) for (const line of shortFormLines(other)) keys.add(`k ${line} ${one}`);
  }
  if (long.length > 1) keys.add(`j ${[...long].sort().join('')}`);
}

function addOtherKeys({ mails, name, birth, employers, streets }: DuplicateFacts, keys: Set<string>): void {
  for (const mail of mails) {
    const local = mail.slice(0, mail.indexOf('@'));
    // A mailbox that nobody else would think of, wherever it is.
    if (local.length > 5 && /\d/.test(local)) keys.add(`l ${local}`);
  }
  if (birth?.day !== undefined)
    for (const { text } of name.words) {
      if (birth.year !== undefined)
        keys.add(`b ${birth.year}-${birth.month ?? ''}-${birth.day} ${text.charAt(0)}`);
      keys.add(`b ${birth.month ?? ''}-${birth.day} ${text.slice(0, 3)}`);
    }
  for (const street of streets) for (const { text } of name.words) keys.add(`s ${street} ${text.charAt(0)}`);
  for (const employer of employers)
    if (employer !== '') for (const { text } of name.words) keys.add(`o ${employer} ${text.slice(0, 3)}`);
}

/** Whether a key is a mail address or a number. */
export function isForReach(key: string): boolean {
  return key.startsWith('m ') || key.startsWith('p ');
}

/** Whether a key is all the words of a name. */
export function isForWholeName(key: string): boolean {
  return key.startsWith('j ');
}

/** Whether a key only serves cards with a bare initial or a nickname. */
export function isForInitials(key: string): boolean {
  return key.startsWith('i ');
}

/** Whether somebody's given name is no more than an initial, or they have a nickname. */
export function goesByInitial({ name, nicknames }: DuplicateFacts): boolean {
  return nicknames.length > 0 || name.words.some(({ text }) => text.length === 1);
}
