import { isInitialOf, isShortForm } from '../compare/compareWords';
import { isOneSlipApart } from '../compare/slips';
import { leaning } from '../compare/weighWords';
import type { DuplicateFacts } from '../facts/facts';
import { isEastern, type NameWord, type ReadName, type Role } from '../facts/nameWords';
import type { Vocabulary } from '../facts/vocabulary';
import { clamp } from '../model/evidence';
import { besideKnown, mailboxWords } from './mailboxWords';

/** How much more the book must have for the other way round, on a scale from -4, a surname, to 4, a given name. Ours. */
const [SWAPPED, MOST] = [4, 4];

/**
 * A card with its name as the rest of the book and its own mailboxes let it be read: a given name and a surname in each other's
 * fields are put right, a name that says little is completed, and what somebody is called in a mailbox too is kept beside it.
 */
export function settleNames(facts: DuplicateFacts, vocabulary: Vocabulary): DuplicateFacts {
  if (facts.isOrg) return facts;
  const name = withMailboxes(withRoles(facts.name, vocabulary), facts.mails, vocabulary);
  return name === facts.name ? facts : { ...facts, name };
}

function withRoles(name: ReadName, vocabulary: Vocabulary): ReadName {
  const { words } = name;
  const [given, surnames] = [meanOf('given', words, vocabulary), meanOf('surname', words, vocabulary)];
  if (given === undefined || surnames === undefined || surnames - given < SWAPPED) return name;
  return { ...name, words: words.map(({ text, role }) => ({ text, role: OTHER[role] })) };
}

const OTHER: Readonly<Record<Role, Role>> = { given: 'surname', surname: 'given', open: 'open' };

/** What the other cards of a book have the words of a role as, in the mean; undefined where there is none. */
function meanOf(role: Role, words: readonly NameWord[], vocabulary: Vocabulary): number | undefined {
  let [sum, count] = [0, 0];
  const own = role === 'given' ? 1 : -1;
  for (const word of words) {
    if (word.role !== role || word.text.length === 1) continue;
    sum += clamp(vocabulary.leaningOf(word.text) - own, -MOST, MOST);
    count += 1;
  }
  return count === 0 ? undefined : sum / count;
}

function withMailboxes(name: ReadName, mails: readonly string[], vocabulary: Vocabulary): ReadName {
  const full = name.words.filter(({ text }) => text.length > 1);
  if (name.words.length === 0) return fromMailbox(name, mails);
  if (isEastern(name.script)) return spelt(name, mails);
  const known = full.map(({ text }) => text);
  const found = mails.flatMap((mail) => {
    const words = mailboxWords(mail);
    const beside = words.length === 0 ? undefined : besideKnown(words, known);
    const [rest = ''] = beside?.rest ?? [];
    if (!beside || beside.rest.length !== 1 || rest.length < 3) return [];
    return isOf(name, beside.met, rest, vocabulary) ? rest : [];
  });
  if (found.length === 0) return name;
  const others = [...new Set(found)].map((text): NameWord => ({ text, role: 'open' }));
  // Who goes by one word alone, or by one and an initial, is who the mailbox says.
  return full.length === 1 && others.length === 1
    ? { ...name, words: [...name.words.filter(({ text }) => text.length > 1), ...others] }
    : { ...name, others };
}

/** Whether what stands in a mailbox beside a word of a name can be the same person's, and not their partner's or a firm's. */
function isOf({ words }: ReadName, met: string, rest: string, vocabulary: Vocabulary): boolean {
  const initials = words.filter(({ text }) => text.length === 1);
  const full = words.filter(({ text }) => text.length > 1);
  if (full.length === 1) return initials.length === 0 || initials.some(({ text }) => isInitialOf(text, rest));
  const own = full.find(({ text }) => text === met);
  // All words of a name in one.
  if (!own) return true;
  // Beside a given name another surname, a former one; beside a surname the given name as it should have been written.
  if (leaning(own, vocabulary) > 0) return true;
  return full.some(
    ({ text }) =>
      text !== met &&
      (isOneSlipApart(text, rest) || isShortForm(text, rest) || (text.length > 3 && rest.includes(text))),
  );
}

/** A name in Chinese characters with its words as a mailbox spells them. */
function spelt(name: ReadName, mails: readonly string[]): ReadName {
  const { words } = fromMailbox({ ...name, words: [] }, mails);
  return words.length < 2 ? name : { ...name, others: words };
}

/** The name of a card that has none, by what stands in its place or by the first mailbox of several words. */
function fromMailbox(name: ReadName, mails: readonly string[]): ReadName {
  for (const mail of name.handle === '' ? mails : [name.handle, ...mails]) {
    const words = mailboxWords(mail);
    if (words.length < 2 || !words.some((word) => word.length > 2)) continue;
    return { ...name, words: words.map((text) => ({ text, role: 'open' })) };
  }
  return name;
}
