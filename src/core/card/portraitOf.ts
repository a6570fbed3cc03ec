import type { Card, Media } from './schema/types';

/** A picture of whom a card is about (RFC 9553 §2.6.4), with the id of its entry. */
type Portrait = readonly [id: string, media: Media];

/** The pictures of a card: a person's photos before logos, an organisation's logos before photos. */
export function portraitsOf(card: Card): Portrait[] {
  const [own, other] = card.kind === 'org' ? ['logo', 'photo'] : ['photo', 'logo'];
  const media = Object.entries(card.media ?? {});
  const of = (wished: string | undefined) => media.filter(([, { kind }]) => kind === wished);
  return [...of(own), ...of(other)];
}

/** The picture that a stamp shows; undefined where the card has none. */
export function portraitOf(card: Card): Portrait | undefined {
  return portraitsOf(card)[0];
}
