import { countOf, pluralOf } from '../plural';

/** The map. */
export const texts = {
  townNotKnown: (countryName: string) => `${countryName}, town not known`,
  andMorePlaces: (placeName: string, more: number) =>
    `${placeName} and ${more} more ${pluralOf(more, { one: 'place', other: 'places' })}`,
  whoIsNear: 'Who is near',
  townOrSomebody: 'A town, or somebody',
  kilometres: 'Kilometres',
  allPlaces: 'All places',
  noTownOrPerson: (near: string) => `No town or person is called “${near}”`,
  withinKmOf: (km: number, name: string) => `Within ${km} km of ${name}`,
  wherePeopleAre: 'Where people are',
  cardsAtPlaces: (cards: number, places: number) =>
    `${countOf(cards, { one: 'card', other: 'cards' })} at ${countOf(places, { one: 'place', other: 'places' })}`,
  byCountryOnly: (unsure: number) => `, ${unsure} by the country only`,
  hubCouldNotBeReached:
    'The hub could not be reached for its gazetteer; only cards with coordinates of their own are shown.',
  noCardHasAddress: 'No card has an address yet.',
  andMore: (count: number) => `and ${count} more`,
  cards: (name: string, count: number) => `${name}: ${countOf(count, { one: 'card', other: 'cards' })}`,
  mapArrowKeysMove: 'Map; arrow keys move it, plus and minus change its size, 0 shows all',
  zoomIn: 'Zoom in',
  zoomOut: 'Zoom out',
  showAll: 'Show all',
  map: 'Map',
  book: 'Book',
  findingPlaces: 'Finding the places',
};
