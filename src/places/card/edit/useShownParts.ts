import { useState } from 'react';

import { selectSettings, useAppSelector } from '@/book/state';
import { type CardForm, DEFAULT_LAYOUT, filledParts, FORM_PARTS, type FormPartId } from '@/core/card';

/** Collections of a card that the page calls by another name. */
const PART_OF: Readonly<Record<string, FormPartId>> = {
  organizations: 'work',
  titles: 'work',
  nicknames: 'nickname',
  anniversaries: 'dates',
  onlineServices: 'accounts',
  personalInfo: 'infos',
  preferredLanguages: 'languages',
  keywords: 'tags',
  relatedTo: 'relations',
  cryptoKeys: 'keys',
  'cordialis.example:fields': 'ownFields',
};

/** The part that a collection of a card is edited in; undefined for one that isn't edited. */
export function partOf(collection: string | undefined): FormPartId | undefined {
  if (collection === undefined) return undefined;
  return PART_OF[collection] ?? FORM_PARTS.find(({ id }) => id === collection)?.id;
}

/** Which parts are on the page: those of the layout in its order, then those that say something or were added. */
export function useShownParts(form: CardForm, at: string | undefined) {
  const { cardLayout } = useAppSelector(selectSettings);
  const known = FORM_PARTS.map(({ id }) => id);
  const chosen = known.filter((id) => cardLayout.includes(id));
  const laidOut =
    chosen.length === 0
      ? DEFAULT_LAYOUT
      : chosen.sort((a, b) => cardLayout.indexOf(a) - cardLayout.indexOf(b));
  const [added, setAdded] = useState<readonly FormPartId[]>(() => {
    const asked = partOf(at);
    return [...filledParts(form), ...(asked ? [asked] : [])];
  });
  /** The part that was asked for last, whose first field gets the focus; none at first. */
  const [latest, setLatest] = useState<FormPartId>();
  const add = (part: FormPartId) => {
    setAdded([...added, part]);
    setLatest(part);
  };
  const shown = [...laidOut, ...known.filter((id) => !laidOut.includes(id) && added.includes(id))];
  return { shown, add, latest };
}
