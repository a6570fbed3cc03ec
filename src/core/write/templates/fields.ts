import { formatPartialDate, toPartialDate } from '@/core/base';
import {
  type Card,
  formatAddress,
  type greetingFor,
  nameParts,
  organisationOf,
  preferredEntry,
  type salutationFor,
  shownAs,
  townOf,
} from '@/core/card';

/** What filling in depends on beside the card. */
export interface TemplateContext {
  /** BCP 47, for days. */
  readonly locale?: string;
  /** Labels of fields that the user has made, on whatever card: they are fields, also where a card hasn't got them. */
  readonly labels?: readonly string[];
  /** What greets people (core/greetings); given, as its many languages are loaded when they are needed. */
  readonly words?: TemplateWords | undefined;
}

/** What greets people in their own languages. */
export interface TemplateWords {
  readonly greetingFor: typeof greetingFor;
  readonly salutationFor: typeof salutationFor;
}

/** What may stand in a text in braces, with what it becomes for a card; '' where the card doesn't say. */
const FIELDS: Readonly<Record<string, (card: Card, context: TemplateContext) => string>> = {
  given: ({ name }) => nameParts(name, 'given'),
  surname: ({ name }) => [nameParts(name, 'surname'), nameParts(name, 'surname2')].filter(Boolean).join(' '),
  name: (card) => shownAs(card),
  nickname: ({ nicknames }) => Object.values(nicknames ?? {})[0]?.name ?? '',
  title: ({ name }) => nameParts(name, 'title'),
  salutation: (card, { words }) => words?.salutationFor(card) ?? '',
  birthday: (card, { words }) => words?.greetingFor(card, 'birth') ?? '',
  anniversary: (card, { words }) => words?.greetingFor(card, 'wedding') ?? '',
  organisation: (card) => organisationOf(card) ?? '',
  post: ({ titles }) => Object.values(titles ?? {})[0]?.name ?? '',
  town: (card) => townOf(card) ?? '',
  address: ({ addresses }) => {
    const address = preferredEntry(addresses);
    return address ? formatAddress(address).join('\n') : '';
  },
  mail: ({ emails }) => preferredEntry(emails)?.address ?? '',
  number: ({ phones }) => preferredEntry(phones)?.number ?? '',
  born: ({ anniversaries }, { locale = 'en-GB' }) => {
    const day = Object.values(anniversaries ?? {}).find(({ kind }) => kind === 'birth');
    return day ? formatPartialDate(toPartialDate(day.date), locale) : '';
  },
  opener: (card) => card['cordialis.example:opener'] ?? '',
};

/** The words of all fields, in the order in which they are offered. */
export const fieldWords: readonly string[] = Object.keys(FIELDS);

/**
 * What a card says for a field: one of the words above, or the label of a field that the user has made.
 *
 * @returns undefined for a word that is no field; '' where the card doesn't say
 */
export function valueOf(field: string, card: Card | undefined, context: TemplateContext): string | undefined {
  const { labels = [] } = context;
  const word = field.trim().toLowerCase();
  const own = Object.values(card?.['cordialis.example:fields'] ?? {}).find(
    ({ label }) => label.trim().toLowerCase() === word,
  );
  if (Object.hasOwn(FIELDS, word)) return card ? (FIELDS[word]?.(card, context) ?? '') : '';
  if (own) return own.value;
  return labels.some((label) => label.trim().toLowerCase() === word) ? '' : undefined;
}
