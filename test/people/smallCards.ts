// Parts of a card as a test says them in a word.
import type { Card } from '@/core/card';

/** One mail address. */
export const mail = (address: string): Partial<Card> => ({ emails: { e1: { address } } });
/** One number. */
export const phone = (number: string, isMobile = false): Partial<Card> => ({
  phones: { p1: { number, ...(isMobile ? { features: { mobile: true } } : {}) } },
});
/** A whole birthday. */
export const born = (year: number, month: number, day: number): Partial<Card> => ({
  anniversaries: { b: { kind: 'birth', date: { year, month, day } } },
});
