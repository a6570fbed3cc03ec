/** The collections of a card and the letters their ids begin with, so that ids read well in files and logs. */
export const ID_PREFIXES = {
  addresses: 'a',
  anniversaries: 'd',
  calendars: 'c',
  cryptoKeys: 'k',
  directories: 'y',
  emails: 'e',
  links: 'l',
  media: 'm',
  nicknames: 'n',
  notes: 'o',
  onlineServices: 's',
  organizations: 'g',
  personalInfo: 'i',
  phones: 'p',
  preferredLanguages: 'q',
  schedulingAddresses: 'h',
  titles: 't',
  pronouns: 'r',
} as const;

/** A name of a collection whose entries carry ids. */
export type Collection = keyof typeof ID_PREFIXES;

/**
 * The first id of the collection's sequence (p1, p2 …) that no entry has: for cards that are read, whose entries have to
 * get the same ids at every reading. An entry that is added to a card of the book gets `idFor` it.
 */
export function nextId(collection: Collection, entries: Readonly<Record<string, unknown>> = {}): string {
  const prefix = ID_PREFIXES[collection];
  let count = Object.keys(entries).length + 1;
  while (Object.hasOwn(entries, `${prefix}${count}`)) count += 1;
  return `${prefix}${count}`;
}

/**
 * The id of an entry that is added to a card: made from what it says, so that two sides that each add one (two pages, a
 * page and a device) never give one id to different entries. Whoever undoes an adding finds it there.
 *
 * @param taken - by id, what the card has; an id that is taken by something else is not given again
 */
export function idFor(
  collection: Collection | 'cordialis.example:fields',
  entry: unknown,
  taken: Readonly<Record<string, unknown>> = {},
): string {
  const prefix = collection === 'cordialis.example:fields' ? 'f' : ID_PREFIXES[collection];
  const first = `${prefix}-${fnv1a(JSON.stringify(entry)).toString(36)}`;
  let id = first;
  for (let count = 2; Object.hasOwn(taken, id); count += 1) id = `${first}-${count}`;
  return id;
}

/** FNV-1a, 32 bits (draft-eastlake-fnv), over the code units of a text. */
function fnv1a(text: string): number {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at += 1) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193) >>> 0;
  return hash;
}
