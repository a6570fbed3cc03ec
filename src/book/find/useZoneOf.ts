import { useAnswer, useServices } from '@/book/state';
import type { Card } from '@/core/card';

/**
 * The IANA time zone where somebody is: what the card says itself, else by the first of its addresses; '' while that is
 * being looked up.
 *
 * @param country - ISO 3166-1 alpha-2 of the user's own; nobody there is looked for
 */
export function useZoneOf(card: Card, country: string): string | undefined {
  const { search } = useServices();
  const addresses = Object.values(card.addresses ?? {});
  const own = card['cordialis.example:timeZone'] ?? addresses.find(({ timeZone }) => timeZone)?.timeZone;
  const isAbroad = addresses.some(({ countryCode }) => countryCode?.toUpperCase() !== country);
  const isAsked = own === undefined && isAbroad;
  const answer = useAnswer(card.uid, isAsked ? () => search.zoneOf(card.uid) : undefined);
  if (own !== undefined || !isAsked) return own;
  return answer?.key === card.uid ? answer.value : '';
}
