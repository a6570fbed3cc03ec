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

/** The first id of the collection's sequence (p1, p2 …) that no entry has. */
export function nextId(collection: Collection, entries: Readonly<Record<string, unknown>> = {}): string {
  const prefix = ID_PREFIXES[collection];
  let count = Object.keys(entries).length + 1;
  while (Object.hasOwn(entries, `${prefix}${count}`)) count += 1;
  return `${prefix}${count}`;
}
