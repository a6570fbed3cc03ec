import type { Point } from './distance';
import { LOCAL_NAMES } from './localNames.data';
import { placeKey } from './placeKey';

/** A town of the gazetteer. */
export interface Town extends Point {
  readonly name: string;
  /** ISO 3166-1 alpha-2. */
  readonly country: string;
  /** The first level below the country, in the country's own code. */
  readonly region: string;
  readonly population: number;
  readonly isCapital: boolean;
}

/** What is known of a place that is looked for. */
export interface TownQuery {
  readonly name: string;
  /** ISO 3166-1 alpha-2; '' where it isn't known. */
  readonly country?: string;
  /** Its name or code; only told apart by, never required. */
  readonly region?: string;
}

/** The largest first, so that a name alone means the town most people mean. */
const bySize = (a: Town, b: Town) => b.population - a.population;

/** Towns by name, in any of the ways in which they are written. */
export class Gazetteer {
  private readonly byName = new Map<string, Town[]>();
  private readonly capitals = new Map<string, Town>();

  /** @param towns - in any order */
  constructor(towns: readonly Town[]) {
    for (const town of [...towns].sort(bySize)) {
      const key = placeKey(town.name);
      const known = this.byName.get(key);
      if (known) known.push(town);
      else this.byName.set(key, [town]);
      const capital = this.capitals.get(town.country);
      // Where none is marked as the capital, the largest town stands in.
      if (!capital || (town.isCapital && !capital.isCapital)) this.capitals.set(town.country, town);
    }
  }

  get size(): number {
    let count = 0;
    for (const towns of this.byName.values()) count += towns.length;
    return count;
  }

  /** A town by its name: in its country where that is known, the largest of several; undefined where there is none. */
  find({ name, country = '', region = '' }: TownQuery): Town | undefined {
    const towns = this.named(name);
    const there = country === '' ? towns : towns.filter((town) => town.country === country);
    const near = region === '' ? undefined : there.find((town) => placeKey(town.region) === placeKey(region));
    return near ?? there[0];
  }

  /** The largest town whose name begins so. */
  findByBeginning(text: string): Town | undefined {
    const exact = this.find({ name: text });
    if (exact) return exact;
    const wanted = placeKey(text);
    let best: Town | undefined;
    for (const [key, [town]] of this.byName)
      if (key.startsWith(wanted) && town && town.population > (best?.population ?? -1)) best = town;
    return best;
  }

  /** The capital of a country, to stand for all of it. */
  capitalOf(country: string): Town | undefined {
    return this.capitals.get(country);
  }

  private named(name: string): readonly Town[] {
    const key = placeKey(name);
    const local = LOCAL_NAMES.get(key);
    const found = this.byName.get(key) ?? [];
    if (local === undefined) return found;
    return [...(this.byName.get(placeKey(local)) ?? []), ...found].sort(bySize);
  }
}
