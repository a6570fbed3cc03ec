import { type Card, shownAs, type Uid } from '../card';
import { foldedWords } from '../text';

/** Who belongs where, by the folded name of the organisation. */
export interface OrganisationIndex {
  /** The card of the organisation of that name. */
  findOrganisation(name: string): Uid | undefined;
  /** The people who name it as theirs. */
  findPeople(name: string): readonly Uid[];
}

/** Reads through all cards once. */
export function indexOrganisations(cards: Iterable<Card>): OrganisationIndex {
  const houses = new Map<string, Uid>();
  const people = new Map<string, Uid[]>();
  for (const card of cards) {
    if (card.kind === 'org') houses.set(keyOf(shownAs(card)), card.uid);
    else {
      const names = Object.values(card.organizations ?? {}).map(({ name = '' }) => keyOf(name));
      for (const name of new Set(names)) {
        const known = people.get(name);
        if (known) known.push(card.uid);
        else people.set(name, [card.uid]);
      }
    }
  }
  return {
    findOrganisation: (name) => houses.get(keyOf(name)),
    findPeople: (name) => people.get(keyOf(name)) ?? [],
  };
}

/** Names said again and again are folded once. */
const keys = new Map<string, string>();
const MAX_KEYS = 50_000;

function keyOf(name: string): string {
  const known = keys.get(name);
  if (known !== undefined) return known;
  const key = foldedWords(name).join(' ');
  if (keys.size < MAX_KEYS) keys.set(name, key);
  return key;
}
