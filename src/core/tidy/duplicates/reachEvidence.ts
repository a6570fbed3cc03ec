import { texts } from '@/texts/tidy/duplicates';

import { clamp, type Evidence } from './evidence';
import type { DuplicateFacts } from './facts';
import type { Frequencies } from './frequencies';

/** Mailboxes that belong to a desk, not to a person (common practice). */
const DESKS =
  /^(info|office|contact|kontakt|mail|post|hello|hallo|admin|sales|booking|bookings|press|presse|team|service|support|reception|secretary|sekretariat|boxoffice|no-?reply)@/;

/** Shared addresses and numbers; the rarer in the book, the weightier. */
export function reachEvidence(a: DuplicateFacts, b: DuplicateFacts, frequencies: Frequencies): Evidence[] {
  const found: Evidence[] = [];
  const mail = rarest(a.mails, b.mails, (one) => frequencies.countOf('m', one));
  if (mail !== undefined) {
    const bits = clamp(frequencies.weightOf('m', mail, 0.9), 1, 12) * (DESKS.test(mail) ? 0.4 : 1);
    found.push({ kind: 'mail', words: texts.sameMailAddress(mail), bits });
  } else if (a.mails.length > 0 && b.mails.length > 0)
    found.push({ kind: 'mail', words: texts.differentMailAddresses, bits: -0.3 });
  const number = rarest(a.phones, b.phones, (one) => frequencies.countOf('p', one), isSameNumber);
  if (number !== undefined) {
    const isOwn = a.mobiles.has(number) || b.mobiles.has(number);
    const isDesk = frequencies.countOf('p', number) > 3;
    const bits = clamp(frequencies.weightOf('p', number, 0.8), 1, 11) * (isDesk ? 0.4 : isOwn ? 1 : 0.7);
    found.push({ kind: 'number', words: texts.sameNumber(number.replace('~', '')), bits });
  }
  return found;
}

/** Of the values that both have the one that the fewest cards have. */
export function rarest(
  mine: readonly string[],
  theirs: readonly string[],
  countOf: (value: string) => number,
  isSame = (a: string, b: string) => a === b,
): string | undefined {
  return mine
    .filter((value) => theirs.some((other) => isSame(value, other)))
    .sort((a, b) => countOf(a) - countOf(b))[0];
}

/** Digits at the end of a number that have to agree where one of two says no country; cards are brought together by as many. */
export const NUMBER_TAIL = 7;

/** The same in E.164; where one says no country, the same at its end. */
function isSameNumber(a: string, b: string): boolean {
  if (a === b) return true;
  if (a.startsWith('+') && b.startsWith('+')) return false;
  const [short = '', long = ''] = [a.slice(1), b.slice(1)].sort((x, y) => x.length - y.length);
  return short.length >= NUMBER_TAIL && long.endsWith(short);
}
