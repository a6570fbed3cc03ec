import type { Card } from '../card';
import { foldedWords } from '../text';

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
