/** The language of all texts here: British English. */
export const LANGUAGE = 'en-GB';

const numbers = new Intl.NumberFormat(LANGUAGE);
const rules = new Intl.PluralRules(LANGUAGE);

/** The forms a noun takes beside a number, by the plural categories of Unicode CLDR; `other` stands for the rest. */
export type Forms = Partial<Record<Intl.LDMLPluralRule, string>> & { readonly other: string };

/** The form that goes with a number: "card", "cards". */
export function pluralOf(count: number, forms: Forms): string {
  return forms[rules.select(count)] ?? forms.other;
}

/** A number as it is written: "11,000". */
export function figureOf(count: number): string {
  return numbers.format(count);
}

/** A number with its noun: "1 card", "11,000 cards". */
export function countOf(count: number, forms: Forms): string {
  return `${numbers.format(count)} ${pluralOf(count, forms)}`;
}

const WORDS = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ');

/** The same for a sentence, where numbers up to twelve are words: "six people". */
export function countInWords(count: number, forms: Forms): string {
  return `${WORDS[count] ?? numbers.format(count)} ${pluralOf(count, forms)}`;
}
