import { type Card, latinWords, parseName } from '@/core/card';

/** What a word of a name is, as far as the card says; open where its fields don't tell. */
export type Role = 'given' | 'surname' | 'open';

/** A word of somebody's name. */
export interface NameWord {
  /** Folded, in Latin letters; of an initial its one letter. */
  readonly text: string;
  readonly role: Role;
}

/** How a name is written, as far as it says how its words can be compared with those of another script. */
export type NameScript = 'latin' | 'han' | 'kana' | 'abjad' | 'other';

/** Whether a name is written in the signs of China or of Japan, whose surnames come first. */
export const isEastern = (script: NameScript): boolean => script === 'han' || script === 'kana';

/** Somebody's name, read from whatever field it stands in. */
export interface ReadName {
  readonly words: readonly NameWord[];
  /** Jr, III …; '' for none. */
  readonly generation: string;
  readonly script: NameScript;
  /** A mail address or a handle that stands where the name should. */
  readonly handle: string;
  /** The first letters of words that were left out as particles, one after the other: an initial may stand for one. */
  readonly particles: string;
  /** Words that a mailbox of this person has beside the name: a former surname, a given name without a slip. */
  readonly others: readonly NameWord[];
}

/** Most names are in plain letters, which need no looking up of what script they are. */
const ASCII = /^[\x20-\x7e]*$/;

/** No name at all. */
export const NO_NAME: ReadName = {
  words: [],
  generation: '',
  script: 'latin',
  handle: '',
  particles: '',
  others: [],
};

/** Words that many names have and that tell nobody from anybody (common practice). */
const FILLERS = new Set(
  'van von der den de del della di da dos das do du la le les ter ten zu zur y e bin ibn bint al el thi mr mrs ms miss herr frau dr prof dipl ing med phd mag'.split(
    ' ',
  ),
);

/**
 * The words of a card's name. Where all of it stands in one field, or only in the formatted name, it is read as a name that
 * somebody has typed; a mail address or a handle in its place is no name.
 */
export function readName({ name }: Card): ReadName {
  const parts =
    name?.components?.filter(({ kind, value }) => kind !== 'separator' && value.trim() !== '') ?? [];
  const texts = (...kinds: string[]) =>
    parts.filter(({ kind }) => kinds.includes(kind)).map(({ value }) => value);
  const [given, surnames] = [texts('given', 'given2'), texts('surname', 'surname2')];
  const generation = generationOf(texts('generation').join(' '));
  if (given.length > 0 && surnames.length > 0) {
    const { words, script, particles } = read(given, surnames);
    return asName(words, script, particles, generation);
  }
  const whole = parts.length > 0 ? [...given, ...surnames].join(' ') : (name?.full ?? '');
  const found = readWhole(whole.trim());
  if (parts.length === 0 || found.words.length !== 1)
    return generation === '' ? found : { ...found, generation };
  // One word in one field is what the field says.
  const role: Role = given.length > 0 ? 'given' : 'surname';
  return { ...found, words: found.words.map((word) => ({ ...word, role })), generation };
}

/** Generations that stand behind a name. */
const GENERATION = /[\s,]+(Jr|Sr|Junior|Senior|II|III|IV)\.?$/i;

function readWhole(said: string): ReadName {
  if (said === '') return NO_NAME;
  const [ending = '', behind = ''] = GENERATION.exec(said) ?? [];
  const text = said.slice(0, said.length - ending.length);
  if (/^\S*(?:@|\d{2,}|_)\S*$/.test(text)) return { ...NO_NAME, handle: text };
  const parts = parseName(text)?.components ?? [];
  const of = (...kinds: string[]) =>
    parts.filter(({ kind }) => kinds.includes(kind)).map(({ value }) => value);
  const title = of('title')[0] ?? '';
  // M. is Monsieur, or an initial: then it may be left over.
  const first = /^\p{L}\.$/u.test(title) ? [title] : [];
  const found = read([...first, ...of('given', 'given2')], of('surname', 'surname2'));
  const { words, script } = found;
  const particles = found.particles + first.map((letter) => letter.charAt(0).toLowerCase()).join('');
  const generation = generationOf(behind || of('generation').join(' '));
  // Somebody who writes a comma says what comes first; otherwise either order is in use, but for
  // Chinese characters and what is written without a space.
  const isSaid = text.includes(',') || isEastern(script) || (script !== 'latin' && !/\s/.test(text));
  const open = isSaid ? words : words.map(({ text: word }): NameWord => ({ text: word, role: 'open' }));
  return asName(open, script, particles, generation);
}

function asName(
  words: readonly NameWord[],
  script: NameScript,
  particles: string,
  generation: string,
): ReadName {
  return { words, generation, script, handle: '', particles, others: NO_WORDS };
}

const NO_WORDS: readonly NameWord[] = [];

/** Words of a name before it is told what stands around them. */
type Words = Pick<ReadName, 'words' | 'script' | 'particles'>;

function read(given: readonly string[], surnames: readonly string[]): Words {
  const words: NameWord[] = [];
  for (const value of given) words.push(...wordsOf(value, 'given'));
  for (const value of surnames) words.push(...wordsOf(value, 'surname'));
  const text = [...given, ...surnames].join(' ');
  const script = scriptOf(text);
  // In other scripts what looks like a filler is a name: عمر is mr. And with its marks: Văn is no van.
  const kept = script === 'latin' ? words.filter((word) => !isFiller(word, words, text)) : words;
  if (kept.length === words.length) return { words, script, particles: '' };
  const particles = words.flatMap((word) => (kept.includes(word) ? [] : word.text.charAt(0))).join('');
  return { words: kept, script, particles };
}

/** E. is an initial where given names stand, and a particle among surnames; Le alone is a surname. */
function isFiller({ text, role }: NameWord, words: readonly NameWord[], written: string): boolean {
  if (!FILLERS.has(text) || (text.length === 1 && role === 'given')) return false;
  if (!words.some((other) => other.role === role && !FILLERS.has(other.text))) return false;
  return (
    ASCII.test(written) ||
    written
      .toLowerCase()
      .split(/[^\p{L}]+/u)
      .includes(text)
  );
}

function wordsOf(value: string, role: Role): NameWord[] {
  // One letter and a point are an initial in any script, however many letters its sign has in Latin ones: さ. is s.
  const isInitial = value.length < 5 && /^\p{L}\.$/u.test(value.trim());
  const words = latinWords(isInitial ? value : withoutArticle(asSpoken(value)));
  return words.map((text) => ({
    text: isInitial ? text.charAt(0) : (SYLLABLES[value.trim()] ?? text),
    role,
  }));
}

/** Korean surnames of one sound, which in Latin letters would be taken for initials. */
const SYLLABLES: Readonly<Record<string, string>> = { 이: 'yi', 오: 'oh', 우: 'woo' };

/** Greek letters that sound otherwise side by side: γγ is ng, μπ is b. */
function asSpoken(text: string): string {
  if (ASCII.test(text)) return text;
  return /\p{Script=Greek}/u.test(text)
    ? text
        .replace(/γγ/giu, 'νγ')
        .replace(/(?<!\p{L})μπ/giu, 'b')
        .replace(/(?<!\p{L})ντ/giu, 'd')
        .replace(/ο[υύ]/giu, 'ou')
        .replace(/([αε])[υύ]/giu, '$1v')
    : text;
}

/** Names from Arabic with and without their article: Al-Khatib, El Khatib, Khatib; those with Mc in one word. */
function withoutArticle(text: string): string {
  if (!/^[ae]l[- ]|[ -][ae]l[- ]|[^\x20-\x7e]|mc /i.test(text)) return text;
  return text
    .replace(/(^|\s)ال(?=\p{L}{2})/gu, '$1')
    .replace(/(^|\s)[AE]l[-\s](?=\p{L}{2})/giu, '$1')
    .replace(/\bMc\s+(?=\p{L}{2})/giu, 'Mc');
}

/** What a text is written in. */
export function scriptOf(text: string): NameScript {
  if (ASCII.test(text)) return 'latin';
  if (/^[\p{ASCII}\p{Script=Latin}\p{M}\p{P}]*$/u.test(text)) return 'latin';
  if (/\p{Script=Hiragana}|\p{Script=Katakana}/u.test(text)) return 'kana';
  if (/\p{Script=Han}/u.test(text)) return 'han';
  return /\p{Script=Arabic}|\p{Script=Hebrew}/u.test(text) ? 'abjad' : 'other';
}

function generationOf(text: string): string {
  const word = text.toLowerCase().replace(/[^a-z]/g, '');
  return { junior: 'jr', senior: 'sr' }[word] ?? word;
}
