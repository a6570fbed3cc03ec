import { type Card, type Collection, ID_PREFIXES } from '@/core/card';

/**
 * A card with its entries numbered as they stand (p1, p2 …) where their ids were made from what they say, so that a test
 * names them by their places.
 */
export function numbered<T extends object>(card: T): T {
  const names = new Map<string, string>();
  const collections = Object.entries(card).map(([property, entries]: [string, unknown]) => {
    const isCollection = Object.hasOwn(ID_PREFIXES, property) || property === 'cordialis.example:fields';
    if (!isCollection || typeof entries !== 'object' || entries === null) return [property, entries] as const;
    const named = Object.entries(entries).map(([id, entry]: [string, unknown], at) => {
      const isMade = new RegExp(`^${ID_PREFIXES[property as Collection] ?? 'f'}-[0-9a-z]+(-\\d+)?$`).test(id);
      const name = isMade ? `${id.slice(0, 1)}${at + 1}` : id;
      names.set(`${property}/${id}`, name);
      return [name, entry] as const;
    });
    return [property, Object.fromEntries(named)] as const;
  });
  const result = Object.fromEntries(collections) as Card;
  if (!result.titles) return result as T;
  const titles = Object.entries(result.titles).map(([id, title]) => {
    const organizationId = names.get(`organizations/${title.organizationId ?? ''}`);
    return [id, organizationId === undefined ? title : { ...title, organizationId }] as const;
  });
  return { ...result, titles: Object.fromEntries(titles) } as T;
}
