import type { Card } from './schema/types';

/** The tags of a card, in the order in which they were given (RFC 9553 §2.8.2). */
export function tagsOf(card: Card): string[] {
  return Object.keys(card.keywords ?? {});
}

/** The card with a tag; one that it has already, in whatever case, changes nothing. */
export function withTag(card: Card, tag: string): Card {
  const word = tag.trim();
  if (word === '' || findTag(card, word) !== undefined) return card;
  return { ...card, keywords: { ...card.keywords, [word]: true } };
}

/** The card without a tag, however its case is written. */
export function withoutTag(card: Card, tag: string): Card {
  const known = findTag(card, tag.trim());
  return known === undefined
    ? card
    : putTags(
        card,
        tagsOf(card).filter((one) => one !== known),
      );
}

/** The card with one tag under another name; with both of them before, it has the new one once. */
export function renameTag(card: Card, from: string, to: string): Card {
  const known = findTag(card, from.trim());
  const word = to.trim();
  if (known === undefined || word === '' || known === word) return card;
  const renamed = tagsOf(card).flatMap((tag) => {
    if (tag === known) return [word];
    return isSameTag(tag, word) ? [] : [tag];
  });
  return putTags(card, renamed);
}

/** Whether two tags are one: case makes no difference. */
export function isSameTag(a: string, b: string): boolean {
  return a.toLocaleLowerCase() === b.toLocaleLowerCase();
}

function findTag(card: Card, tag: string): string | undefined {
  return tagsOf(card).find((one) => isSameTag(one, tag));
}

function putTags(card: Card, tags: readonly string[]): Card {
  const { keywords: _, ...rest } = card;
  if (tags.length === 0) return rest;
  return { ...rest, keywords: Object.fromEntries(tags.map((tag) => [tag, true as const])) };
}
