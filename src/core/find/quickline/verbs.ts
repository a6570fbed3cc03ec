/** What the quick line can do with a card. */
export type Verb =
  | 'call'
  | 'write'
  | 'message'
  | 'way'
  | 'copy'
  | 'talk'
  | 'edit'
  | 'open'
  | 'pin'
  | 'unpin'
  | 'archive'
  | 'add';

/** Acts that can be offered beside what was found. */
export type QuickVerb = Extract<
  Verb,
  'call' | 'write' | 'message' | 'talk' | 'edit' | 'way' | 'copy' | 'pin'
>;

/** Which value of a card is meant. */
export type Wanted = 'number' | 'mail' | 'address' | 'birthday' | 'web';

/** Wordings of each verb: at the beginning, and at the end where that is not a kind of value as well. */
const VERBS: readonly {
  readonly verb: Verb;
  readonly first: readonly string[];
  readonly last: readonly string[];
}[] = [
  { verb: 'call', first: ['call', 'phone', 'ring', 'dial'], last: ['call', 'ring', 'dial'] },
  { verb: 'write', first: ['write to', 'write', 'mail to', 'mail', 'email'], last: ['write'] },
  { verb: 'message', first: ['message', 'text', 'sms'], last: ['message', 'text', 'sms'] },
  {
    verb: 'way',
    first: ['show the way to', 'the way to', 'way to', 'directions to', 'route to', 'way'],
    last: ['way', 'way there', 'directions'],
  },
  { verb: 'copy', first: ['copy'], last: ['copy'] },
  {
    verb: 'talk',
    first: ['note a talk with', 'note a talk', 'talk with', 'talked to', 'talked with', 'spoke to', 'met'],
    last: ['note a talk', 'talk'],
  },
  { verb: 'edit', first: ['edit', 'change'], last: ['edit', 'change'] },
  { verb: 'open', first: ['open', 'show'], last: ['open', 'show'] },
  { verb: 'pin', first: ['pin'], last: ['pin'] },
  { verb: 'unpin', first: ['unpin'], last: ['unpin'] },
  { verb: 'archive', first: ['archive'], last: ['archive'] },
  { verb: 'add', first: ['add', 'new card', 'new'], last: [] },
];

const WANTED: Readonly<Record<string, Wanted>> = {
  number: 'number',
  phone: 'number',
  mobile: 'number',
  mail: 'mail',
  email: 'mail',
  address: 'address',
  birthday: 'birthday',
  web: 'web',
  website: 'web',
};

/** A part of a line that has been understood, and the words that are left. */
export interface Taken<T> {
  readonly what: T;
  readonly rest: readonly string[];
}

/** The verb that some words begin or end with; a verb alone is a name. */
export function takeVerb(words: readonly string[]): Taken<Verb> | undefined {
  for (const { verb, first, last } of VERBS) {
    for (const wording of first) {
      const parts = wording.split(' ');
      if (words.length > parts.length && isSame(words.slice(0, parts.length), parts))
        return { what: verb, rest: words.slice(parts.length) };
    }
    for (const wording of last) {
      const parts = wording.split(' ');
      if (words.length > parts.length && isSame(words.slice(-parts.length), parts))
        return { what: verb, rest: words.slice(0, -parts.length) };
    }
  }
  return undefined;
}

/** The kind of value that some words end with. */
export function takeWanted(words: readonly string[]): Taken<Wanted> | undefined {
  const last = words.at(-1)?.toLowerCase() ?? '';
  const what = words.length > 1 && Object.hasOwn(WANTED, last) ? WANTED[last] : undefined;
  return what && { what, rest: words.slice(0, -1) };
}

function isSame(words: readonly string[], parts: readonly string[]): boolean {
  return words.every((word, i) => word.toLowerCase() === parts[i]);
}
