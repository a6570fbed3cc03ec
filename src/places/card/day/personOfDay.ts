import type { Uid } from '@/core/card';
import type { Occasion } from '@/core/talks';

/** Somebody on the page of the day, and why. */
export interface PersonOfDay {
  readonly uid: Uid;
  /** Pinned ones stand there without any. */
  readonly occasion: Occasion | 'pinned';
  /** Of a day that is kept: which of the card's days (`greetingKey`). */
  readonly kind?: string;
}
