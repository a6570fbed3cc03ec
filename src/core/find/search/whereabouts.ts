import { foldText } from '@/core/base';

import type { Point } from '../places/distance';
import { Gazetteer } from '../places/gazetteer';
import { locate, type Spot, townKey } from '../places/locate';
import { placeKey } from '../places/placeKey';
import type { SearchDoc } from './toSearchDoc';

/** Letters of a name that must be typed before a town is completed. */
const MIN_LETTERS = 3;

/** A place that was named, and the name it goes by. */
export interface NamedPoint extends Point {
  readonly name: string;
}

/** A town of the book, and how many addresses are there. */
interface OwnTown extends NamedPoint {
  readonly count: number;
}

/** What it needs of the table of cards. */
interface DocTable {
  readonly slots: readonly ({ readonly doc: SearchDoc; readonly sortKey: string } | undefined)[];
}

/** Where the cards of a table are. Made for a table as it is: what it has worked out is kept until cards change. */
export class Whereabouts {
  private readonly spots = new Map<SearchDoc, readonly Spot[]>();
  private readonly known = new Map<string, Point>();
  private towns: ReadonlyMap<string, OwnTown> | undefined;

  /** @param gazetteer - an empty one where it could not be loaded: what cards say themselves is known all the same */
  constructor(
    private readonly table: DocTable,
    private readonly gazetteer: Gazetteer = new Gazetteer([]),
  ) {
    for (const slot of table.slots) {
      for (const place of slot?.doc.places ?? []) {
        if (!place.point || place.town === '') continue;
        this.known.set(townKey(place), place.point);
      }
    }
  }

  /** Where a card's addresses are, the preferred one first. */
  spotsOf(doc: SearchDoc): readonly Spot[] {
    const found = this.spots.get(doc);
    if (found) return found;
    const spots = (doc.places ?? []).flatMap((place) => locate(place, this.gazetteer, this.known) ?? []);
    this.spots.set(doc, spots);
    return spots;
  }

  /**
   * A place by its name or the beginning of it: a town where somebody of the book is, the one with most people first;
   * any other town; where a card of that name is.
   */
  pointOf(text: string): NamedPoint | undefined {
    const wanted = placeKey(text);
    const own = this.ownTowns().get(wanted);
    if (own) return own;
    const town = this.gazetteer.find({ name: text });
    if (wanted.length < MIN_LETTERS) return town;
    return (
      this.begunTown(wanted) ??
      town ??
      this.pointOfCard(foldText(text.trim())) ??
      this.gazetteer.findByBeginning(text)
    );
  }

  private begunTown(wanted: string): NamedPoint | undefined {
    let best: OwnTown | undefined;
    for (const [key, town] of this.ownTowns())
      if (key.startsWith(wanted) && town.count > (best?.count ?? 0)) best = town;
    return best;
  }

  /** The towns where somebody is, by what they are called without marks. */
  private ownTowns(): ReadonlyMap<string, OwnTown> {
    if (this.towns) return this.towns;
    const towns = new Map<string, OwnTown>();
    for (const slot of this.table.slots) {
      for (const { by, name, lat, lon } of slot ? this.spotsOf(slot.doc) : []) {
        if (by === 'country') continue;
        const key = placeKey(name);
        towns.set(key, { lat, lon, name, count: (towns.get(key)?.count ?? 0) + 1 });
      }
    }
    this.towns = towns;
    return towns;
  }

  private pointOfCard(wanted: string): NamedPoint | undefined {
    for (const slot of this.table.slots) {
      if (slot?.sortKey.startsWith(wanted) !== true) continue;
      const spot = this.spotsOf(slot.doc).find(({ by }) => by !== 'country');
      if (spot) return { lat: spot.lat, lon: spot.lon, name: slot.doc.shown };
    }
    return undefined;
  }
}
