/** Tones that a call can have, with our words for them; a card without one rings as all others do. */
export const RINGS = [
  ['', 'As all others'],
  ['bell', 'Bell: two notes that fade'],
  ['wood', 'Wood: three knocks'],
  ['brook', 'Brook: quick and rising'],
  ['horn', 'Horn: one low call'],
] as const;

/** The name of a tone; '' for the one that all others have. */
export type Ring = (typeof RINGS)[number][0];

/** The tone that a card asks for; what isn't known any more is the usual one. */
export function ringOf(card: { readonly 'cordialis.example:ring'?: string } | undefined): Ring {
  const name = card?.['cordialis.example:ring'];
  return RINGS.find(([ring]) => ring === name)?.[0] ?? '';
}
