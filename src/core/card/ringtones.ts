import { texts } from '@/texts/card/card';

/** Tones that a call can have, with our words for them; a card without one rings as all others do. */
export const RINGTONES = [
  ['', texts.asAllOthers],
  ['bell', texts.bellTwoNotesThatFade],
  ['wood', texts.woodThreeKnocks],
  ['brook', texts.brookQuickAndRising],
  ['horn', texts.hornOneLowCall],
] as const;

/** The name of a tone; '' for the one that all others have. */
export type Ringtone = (typeof RINGTONES)[number][0];

/** The tone that a card asks for; what isn't known any more is the usual one. */
export function ringtoneOf(card: { readonly 'cordialis.example:ring'?: string } | undefined): Ringtone {
  const name = card?.['cordialis.example:ring'];
  return RINGTONES.find(([ring]) => ring === name)?.[0] ?? '';
}
