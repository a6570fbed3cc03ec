import { Gazetteer, keyOf, locate, type Point, type Spot, townKey } from '../places';
import { foldText } from '../text';
import type { CardTable } from './cardTable';
import type { SearchDoc } from './toSearchDoc';

/** Letters of a name that must be typed before a town is completed. */
const MIN_LETTERS = 3;

/** A place that was named, and the name it goes by. */
export interface NamedPoint extends Point {
  readonly name: string;
}

/** Where the cards of a table are. Made for a table as it is: what it has worked out is kept until cards change. */
export class Whereabouts {
  private readonly spots = new Map<SearchDoc, readonly Spot[]>();
  private readonly known = new Map<string, Point>();
  private readonly ownTowns = new Map<string, NamedPoint>();

  /** @param gazetteer - an empty one where it could not be loaded: what cards say themselves is known all the same */
  constructor(
    private readonly table: CardTable,
    private readonly gazetteer: Gazetteer = new Gazetteer([]),
  ) {
    for (const slot of table.slots) {
      for (const place of slot?.doc.places ?? []) {
        if (!place.point || place.town === '') continue;
        this.known.set(townKey(place), place.point);
        this.ownTowns.set(keyOf(place.town), { ...place.point, name: place.town });
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

  /** A place by its name or the beginning of it: a town, or where a card of that name is. */
  pointOf(text: string): NamedPoint | undefined {
    const own = this.ownTowns.get(keyOf(text));
    if (own) return own;
    const town = this.gazetteer.find({ name: text });
    if (town) return town;
    const wanted = foldText(text.trim());
    if (wanted.length < MIN_LETTERS) return undefined;
    const begun = [...this.ownTowns].find(([key]) => key.startsWith(keyOf(text)))?.[1];
    return begun ?? this.pointOfCard(wanted) ?? this.gazetteer.findByBeginning(text);
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
