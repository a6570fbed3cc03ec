import type { LocatedCard, SpotGroup } from '@/core/find';
import { countryName } from '@/platform';
import { texts } from '@/texts/find/map';

/** A card on the map; how far it is where a place was asked for. */
export interface PlacedCard extends LocatedCard {
  readonly km?: number;
}

/** Everybody at one place. */
export type PlaceGroup = SpotGroup<PlacedCard>;

/** Tells places apart. */
export function placeKey({ spot: { lat, lon, by } }: PlaceGroup): string {
  return `${lat} ${lon} ${by}`;
}

/** What a place is called, by the card that stands there first: "Bergen", or "Norway, town not known". */
export function placeName({ spot }: PlaceGroup): string {
  if (spot.by !== 'country') return spot.name;
  return texts.townNotKnown(countryName(spot.name));
}

/** Several places as one: "Bergen and 2 more places". */
export function clusterName(groups: readonly PlaceGroup[]): string {
  const [first] = groups;
  if (!first) return '';
  const more = groups.length - 1;
  return more === 0 ? placeName(first) : texts.andMorePlaces(placeName(first), more);
}

/** How many are at some places. */
export function countOf(groups: readonly PlaceGroup[]): number {
  return groups.reduce((sum, { members }) => sum + members.length, 0);
}
