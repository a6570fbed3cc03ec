import { isDesk } from '../facts/desks';
import type { DuplicateFacts } from '../facts/facts';
import { isSameNumber, type PhoneFact } from '../facts/phoneFacts';
import { FEW, type Vocabulary } from '../facts/vocabulary';
import { isOneSlipApart } from './slips';

/** How two cards' mail addresses agree. */
export type MailLevel = 'missing' | 'same' | 'many' | 'desk' | 'alike' | 'differ';
/** How their numbers agree, those first that say most. */
const PHONE_LEVELS = ['missing', 'mobile', 'extension', 'same', 'many', 'slip', 'differ'] as const;
/** One of them. */
export type PhoneLevel = (typeof PHONE_LEVELS)[number];

/** How two cards are reached alike, and by what. */
export interface Reach<Level extends string> {
  readonly level: Level;
  readonly value: string;
}

/** Compares mail addresses: the rarest that both have, else, of names that agree, whether two are nearly the same. */
export function compareMails(
  a: DuplicateFacts,
  b: DuplicateFacts,
  vocabulary: Vocabulary,
  isNamed = true,
): Reach<MailLevel> {
  if (a.mails.length === 0 || b.mails.length === 0) return { level: 'missing', value: '' };
  const shared = a.mails.filter((mail) => b.mails.includes(mail));
  const [own = shared[0]] = shared
    .filter((mail) => !isDesk(mail))
    .sort((one, other) => vocabulary.countOf('m', one) - vocabulary.countOf('m', other));
  if (own !== undefined) {
    const level = isDesk(own) ? 'desk' : vocabulary.countOf('m', own) > FEW ? 'many' : 'same';
    return { level, value: own };
  }
  const alike = !isNamed ? undefined : a.mails.find((mail) => b.mails.some((other) => areAlike(mail, other)));
  return alike === undefined ? { level: 'differ', value: '' } : { level: 'alike', value: alike };
}

/** An unusual mailbox at another host, or one a slip apart. */
function areAlike(a: string, b: string): boolean {
  if (a[0] !== b[0] || Math.abs(a.length - b.length) > 14) return false;
  const [at, otherAt] = [a.indexOf('@'), b.indexOf('@')];
  if (at < 5 || Math.abs(at - otherAt) > 1) return false;
  const [local, other] = [a.slice(0, at), b.slice(0, otherAt)];
  const hasDigit = /\d/.test(local);
  if (local === other) return hasDigit && !isDesk(a);
  return !hasDigit && at > 6 && a.slice(at) === b.slice(otherAt) && isOneSlipApart(local, other);
}

/** Compares numbers: the rarest that both have, else, of names that agree, whether two are a slip apart. */
export function comparePhones(
  a: DuplicateFacts,
  b: DuplicateFacts,
  vocabulary: Vocabulary,
  isNamed = true,
): Reach<PhoneLevel> {
  if (a.phones.length === 0 || b.phones.length === 0) return { level: 'missing', value: '' };
  let best: Reach<PhoneLevel> | undefined;
  for (const mine of a.phones)
    for (const theirs of b.phones) {
      if (!isSameNumber(mine, theirs)) continue;
      const level = levelOf(mine, theirs, vocabulary);
      if (!best || PHONE_LEVELS.indexOf(level) < PHONE_LEVELS.indexOf(best.level))
        best = { level, value: mine.number };
    }
  if (best) return best;
  const slip = !isNamed
    ? undefined
    : a.phones.find((mine) => b.phones.some((theirs) => isSlip(mine.number, theirs.number)));
  return slip ? { level: 'slip', value: slip.number } : { level: 'differ', value: '' };
}

function levelOf(a: PhoneFact, b: PhoneFact, vocabulary: Vocabulary): PhoneLevel {
  const count = vocabulary.countOf('p', a.counted);
  // A desk of its own, or two of one house.
  if (a.extension !== b.extension) return 'many';
  if (a.extension !== '') return 'extension';
  if (count > FEW) return 'many';
  return a.isMobile || b.isMobile ? 'mobile' : 'same';
}

function isSlip(a: string, b: string): boolean {
  // A digit left out moves all before it, so whole numbers are compared as they are.
  if (a.startsWith('+') && b.startsWith('+')) return a.length > 9 && b.length > 9 && isOneSlipApart(a, b);
  const [mine, theirs] = [a.slice(-9), b.slice(-9)];
  return mine.length === 9 && theirs.length === 9 && isOneSlipApart(mine, theirs);
}
