import { foldedWords } from '@/core/base';

import { type Column, type FieldId, parseHeading } from './columns';
import { CONTEXT_WORDS, FEATURE_WORDS, FIELD_WORDS } from './headingWords.data';

/** Fields whose columns may be for home or for work. */
const WITH_CONTEXT = new Set<FieldId>([
  ...(['mail', 'phone', 'web', 'account', 'street', 'building', 'postbox', 'town', 'region'] as const),
  ...(['postcode', 'country', 'countryCode', 'address'] as const),
]);

const PHRASES = phraseTable(FIELD_WORDS);
const CONTEXTS = phraseTable(CONTEXT_WORDS);
const FEATURES = phraseTable(FEATURE_WORDS);

/**
 * What a heading says that its column holds, in any of the languages of headingWords; our own headings first.
 *
 * @returns undefined where its words are not known
 */
export function matchHeading(text: string): Column | undefined {
  const own = parseHeading(text);
  if (own) return own;
  // "eMailAddress" and "E-mail_2_address" alike.
  const words = foldedWords(text.replace(/(\p{Ll})(\p{Lu}\p{Ll})/gu, '$1 $2'));
  const whole = PHRASES.get(words.join(' ')) ?? PHRASES.get(words.join(''));
  if (whole) return { field: whole, label: '', number: 1 };
  const { rest, number, context, features } = sortWords(words);
  const field = fieldOf(rest) ?? (features.length > 0 ? 'phone' : undefined);
  if (field === undefined) return undefined;
  const label = [WITH_CONTEXT.has(field) ? context : '', ...(field === 'phone' ? features : [])];
  return { field, label: label.filter(Boolean).join(' '), number };
}

/** Whether a heading names only where its column belongs: "Home", "Business". */
export function contextOfHeading(text: string): string | undefined {
  const { rest, context } = sortWords(foldedWords(text));
  return rest.length === 0 && context !== '' ? context : undefined;
}

function sortWords(words: readonly string[]) {
  const rest: string[] = [];
  const features: string[] = [];
  let context = '';
  let number = 1;
  for (const word of words) {
    if (/^\d{1,2}$/.test(word)) number = Math.max(1, Number(word));
    else if (FEATURES.has(word)) features.push(FEATURES.get(word) ?? '');
    else if (CONTEXTS.has(word) && context === '') context = CONTEXTS.get(word) ?? '';
    else rest.push(word);
  }
  return { rest, number, context, features: [...new Set(features)] };
}

/** The field of the words as a phrase, else of the longest run of them that is one. */
function fieldOf(words: readonly string[]): FieldId | undefined {
  for (let length = words.length; length > 0; length -= 1) {
    for (let start = 0; start + length <= words.length; start += 1) {
      const run = words.slice(start, start + length);
      const field = PHRASES.get(run.join(' ')) ?? PHRASES.get(run.join(''));
      // One short word out of many says too little.
      if (field !== undefined && (length * 3 >= words.length || length > 1)) return field;
    }
  }
  return undefined;
}

function phraseTable<K extends string>(table: Readonly<Partial<Record<K, string>>>): Map<string, K> {
  const phrases = new Map<string, K>();
  for (const [key, list] of Object.entries(table) as [K, string][]) {
    for (const phrase of list.split('|')) {
      const folded = foldedWords(phrase).join(' ');
      if (!phrases.has(folded)) phrases.set(folded, key);
    }
  }
  return phrases;
}
