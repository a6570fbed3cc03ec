import { type Card, organisationOf, shownAs, townOf } from '../card';

/** What may stand in a text in braces, with what it becomes for a card; '' where the card doesn't say. */
const FIELDS: Readonly<Record<string, (card: Card) => string>> = {
  given: (card) => part(card, 'given'),
  surname: (card) => [part(card, 'surname'), part(card, 'surname2')].filter(Boolean).join(' '),
  name: (card) => shownAs(card),
  title: (card) => part(card, 'title'),
  organisation: (card) => organisationOf(card) ?? '',
  post: (card) => Object.values(card.titles ?? {})[0]?.name ?? '',
  town: (card) => townOf(card) ?? '',
};

/** {given}, or {given|friend} where something else stands for what is missing. */
const FIELD = /\{(\w+)(?:\|([^{}]*))?\}/g;

function part({ name }: Card, kind: string): string {
  return (name?.components ?? [])
    .filter((one) => one.kind === kind)
    .map(({ value }) => value)
    .join(' ');
}

/** The fields that stand in a text, each once; what is no field of ours is no field. */
export function fieldsIn(text: string): string[] {
  const names = [...text.matchAll(FIELD)].map(([, name = '']) => name);
  return [...new Set(names)].filter((name) => Object.hasOwn(FIELDS, name));
}

/**
 * The text for one card. What is in braces and is no field of ours stays as it is.
 *
 * @param card - undefined for somebody without one: what stands for the missing is used
 */
export function fillTemplate(text: string, card: Card | undefined): string {
  return text.replace(FIELD, (whole, name: string, other: string | undefined) => {
    if (!Object.hasOwn(FIELDS, name)) return whole;
    const value = card ? (FIELDS[name]?.(card) ?? '') : '';
    return value === '' ? (other ?? '') : value;
  });
}

/** The fields of a text that a card can't fill and for which nothing else stands. */
export function missingFields(text: string, card: Card | undefined): string[] {
  const bare = [...text.matchAll(FIELD)].flatMap(([, name = '', other]) =>
    other === undefined ? [name] : [],
  );
  return fieldsIn(text).filter((name) => bare.includes(name) && fillTemplate(`{${name}}`, card) === '');
}
