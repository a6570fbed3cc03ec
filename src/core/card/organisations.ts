import { foldedWords } from '@/core/base';

import { shownAs } from './name/shownAs';
import type { Card, Uid } from './schema/types';

/** Who belongs to which organisation, by its folded name. */
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

/** Recurring names are folded once. */
const keys = new Map<string, string>();
const MAX_KEYS = 50_000;

function keyOf(name: string): string {
  const known = keys.get(name);
  if (known !== undefined) return known;
  const key = foldedWords(name).join(' ');
  if (keys.size < MAX_KEYS) keys.set(name, key);
  return key;
}

/** A person's card with an organisation's name changed wherever it stands; the same card where it doesn't. */
export function renameOrganisation(card: Card, from: string, to: string): Card {
  const key = foldedWords(from).join(' ');
  const entries = Object.entries(card.organizations ?? {});
  const isIt = (name = '') => name !== to && foldedWords(name).join(' ') === key;
  if (key === '' || !entries.some(([, { name }]) => isIt(name))) return card;
  const organizations = Object.fromEntries(
    entries.map(([id, entry]) => {
      if (!isIt(entry.name)) return [id, entry];
      // How it is sorted was said of the old name.
      const { sortAs: _, ...rest } = entry;
      return [id, { ...rest, name: to }];
    }),
  );
  return { ...card, organizations };
}
