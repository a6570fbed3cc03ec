import { texts } from '@/texts/card/card';

/** Ringtones with their names; a card without one rings like all others. */
export const RINGTONES = [
  ['', texts.default],
  ['bell', texts.bellTwoNotesThatFade],
  ['wood', texts.woodThreeKnocks],
  ['brook', texts.brookQuickAndRising],
  ['horn', texts.hornOneLowCall],
] as const;

/** The name of a tone; '' for the one that all others have. */
export type Ringtone = (typeof RINGTONES)[number][0];

/** A card's ringtone; the default where the id is unknown. */
export function ringtoneOf(card: { readonly 'cordialis.example:ring'?: string } | undefined): Ringtone {
  const name = card?.['cordialis.example:ring'];
  return RINGTONES.find(([ring]) => ring === name)?.[0] ?? '';
}
