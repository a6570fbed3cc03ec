import { type Card, diffJson } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/formats/import';

/** Our words for the properties of RFC 9553, where they differ from its own. */
const WORDS: Readonly<Record<string, string>> = {
  emails: 'mail',
  phones: 'phone',
  addresses: 'address',
  anniversaries: 'days',
  organizations: 'organisation',
  titles: 'post',
  links: 'web',
  notes: 'note',
  media: 'photo',
  nicknames: 'nickname',
  keywords: 'tags',
  onlineServices: 'accounts',
  personalInfo: 'interests',
  relatedTo: texts.relatedCards,
  preferredLanguages: 'languages',
  vCardProps: shared.propertiesOfOtherPrograms,
};

/** When a card was written, and by which program, says nothing about a person. */
export const OF_THE_RECORD: ReadonlySet<string> = new Set(['created', 'updated', 'prodId', 'version']);

/** In which of its parts one version of a card differs from another, in words, each once. */
export function changedValues(before: Card, after: Card): string[] {
  const properties = new Set(diffJson(before, after).map(({ path }) => path[0] ?? ''));
  return [...properties].filter((name) => !OF_THE_RECORD.has(name)).map(wordFor);
}

/** A property in a word: "mail". */
export function wordFor(property: string): string {
  return WORDS[property] ?? property.replace(/^.*:/, '');
}
