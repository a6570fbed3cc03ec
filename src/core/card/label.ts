/** What an entry says about its use that a person would call its label. */
export interface Labelled {
  readonly contexts?: Readonly<Record<string, true>>;
  readonly features?: Readonly<Record<string, true>>;
  readonly label?: string;
}

/** Our words for the contexts and features of RFC 9553 §1.5.1 and §2.3.3.1. */
const WORDS: Readonly<Record<string, readonly ['contexts' | 'features', string]>> = {
  home: ['contexts', 'private'],
  work: ['contexts', 'work'],
  billing: ['contexts', 'billing'],
  post: ['contexts', 'delivery'],
  mobile: ['features', 'mobile'],
  fax: ['features', 'fax'],
  pager: ['features', 'pager'],
  main: ['features', 'main-number'],
  voice: ['features', 'voice'],
  text: ['features', 'text'],
  video: ['features', 'video'],
  textphone: ['features', 'textphone'],
};

/** Collections whose entries have features. */
export type LabelKind = 'phone' | 'address' | 'other';

const CONTEXTS_OF: Readonly<Record<LabelKind, readonly string[]>> = {
  phone: ['home', 'work'],
  address: ['home', 'work', 'billing', 'post'],
  other: ['home', 'work'],
};

/** An entry's label in words: its own, else its contexts and features: "work mobile". '' where it has none. */
export function formatLabel(entry: Labelled): string {
  if (entry.label !== undefined) return entry.label;
  const words = Object.entries(WORDS).filter(([, [set, value]]) => entry[set]?.[value] === true);
  // That a number can be spoken to goes without saying beside anything else.
  return words
    .map(([word]) => word)
    .filter((word, _, all) => word !== 'voice' || all.length === 1)
    .join(' ');
}

/** Reads a label back: words that the standard knows become contexts and features, any other text a label. */
export function parseLabel(text: string, kind: LabelKind): Labelled {
  const words = text
    .trim()
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean);
  if (words.length === 0) return {};
  const known = words.map((word) => (isWordOf(word, kind) ? WORDS[word] : undefined));
  const contexts: Record<string, true> = {};
  const features: Record<string, true> = {};
  for (const entry of known) {
    if (!entry) return { label: text.trim() };
    (entry[0] === 'contexts' ? contexts : features)[entry[1]] = true;
  }
  return {
    ...(Object.keys(contexts).length > 0 ? { contexts } : {}),
    ...(Object.keys(features).length > 0 ? { features } : {}),
  };
}

function isWordOf(word: string, kind: LabelKind): boolean {
  const entry = Object.hasOwn(WORDS, word) ? WORDS[word] : undefined;
  if (!entry) return false;
  return entry[0] === 'contexts' ? CONTEXTS_OF[kind].includes(word) : kind === 'phone';
}

/** A label without the signs that phones put around those that they can translate (common practice): _$!<Mobile>!$_. */
export function unwrapLabel(label: string): string {
  return /^_\$!<(.*)>!\$_$/s.exec(label)?.[1] ?? label;
}

/** With a capital, as a label begins. */
export function asHeading(label: string): string {
  return label.charAt(0).toUpperCase() + label.slice(1);
}
