import { type Card, isPrivate } from '../card';

/** Addresses of the web on a card where a feed may be; none of a private card or entry, as the hub would see them. */
export function feedLinks(card: Card): string[] {
  if (isPrivate({ ...card })) return [];
  const uris = Object.values(card.links ?? {}).flatMap((link) => (isPrivate(link) ? [] : [link.uri.trim()]));
  return [...new Set(uris)].filter((uri) => /^https?:\/\/[^/\s]+/i.test(uri));
}
