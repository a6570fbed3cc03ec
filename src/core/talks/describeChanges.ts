/** Our words for properties worth mentioning before a talk. */
const WORDS: Readonly<Record<string, string>> = {
  name: 'name',
  titles: 'post',
  organizations: 'organisation',
  phones: 'number',
  emails: 'mail address',
  addresses: 'address',
  onlineServices: 'account',
  anniversaries: 'day',
  relatedTo: 'relation',
};

/** What has changed on a card, by the properties that changed: "post, mail address"; '' for nothing of weight. */
export function describeChanges(properties: Iterable<string>): string {
  const words = new Set<string>();
  for (const property of properties) if (Object.hasOwn(WORDS, property)) words.add(WORDS[property] ?? '');
  return [...words].join(', ');
}
