import type { Name, NameComponent } from '../schema/types';
import { CREDENTIALS, DOTTED_TITLES, GENERATIONS, isOneOf, PARTICLES, TITLES } from './nameWords';
import { isFamilyFirstScript, splitUnspacedName } from './scripts';

/** What is known about a name before it is read. */
export interface NameHints {
  /** The surname stands first, as in Hungarian; scripts of East Asia are known without it. */
  readonly familyFirst?: boolean;
  /** Two surnames at the end, as in Spanish. */
  readonly doubleSurname?: boolean;
}

/**
 * Reads a name typed as one line into its components, in the order typed.
 *
 * Common practice: titles lead, degrees and generations trail, particles join the surname after them, "Surname,
 * Given" turns round, Chinese, Japanese and Korean names begin with the surname, a single word is a given name.
 *
 * @param line - any text; white space is folded
 * @returns ordered components, so that formatName gives the same line back (but for a turned-round one);
 *   undefined where the line is empty
 */
export function parseName(line: string, hints: NameHints = {}): Name | undefined {
  const text = line.normalize('NFC').trim().replace(/\s+/g, ' ');
  if (text === '') return undefined;
  const comma = splitAtComma(text);
  const core = comma.turned ? comma.after : comma.before;
  const tokens = core.split(' ');
  const titles = takeTitles(tokens);
  const suffixes = takeSuffixes(tokens, titles.length > 0);
  const middle = comma.turned
    ? [...givenNames(tokens), part('surname', comma.before)]
    : nameProper(tokens, hints);
  const components = [...titles, ...middle, ...suffixes, ...comma.suffixes];
  const isUnspaced = !comma.turned && tokens.length === 1 && middle.length > 1;
  return {
    components,
    isOrdered: true,
    ...(isUnspaced && components.length === middle.length ? { defaultSeparator: '' } : {}),
  };
}

/** "Dr. phil.", "dr hab.": of which faculty a doctor is; never first, and never with a capital, as Phil is a name. */
const FACULTIES =
  /^(?:phil|med|rer|nat|jur|iur|habil|hab|ing|inż|techn|pol|oec|theol|vet|dent|mus|h\.?c|e\.?h)\.$/;

function part(kind: NameComponent['kind'], value: string): NameComponent {
  return { kind, value };
}

interface AtComma {
  before: string;
  after: string;
  turned: boolean;
  suffixes: NameComponent[];
}

/** "Doe, Jane" is turned round; "Jane Doe, PhD, MBA" carries suffixes, each with its ", " before it. */
function splitAtComma(text: string): AtComma {
  const [before = '', ...rest] = text.split(/\s*[,،]\s*/);
  const after = rest.filter(Boolean);
  if (before === '' || after.length === 0) {
    return { before: text, after: '', turned: false, suffixes: [] };
  }
  // "Philippa Crane, FRSM": three capitals and more behind a whole name are an order or a membership, listed or not.
  const isMember = (word: string) =>
    /^\p{Lu}{3,6}$/u.test(word) && before.includes(' ') && before !== before.toUpperCase();
  const isSuffix = (word: string) => word.split(' ').every((w) => suffixKind(w) !== undefined || isMember(w));
  if (after.every(isSuffix)) {
    const suffixes = after.flatMap((word) => [
      part('separator', ', '),
      part(suffixKind(word) ?? 'credential', word),
    ]);
    return { before, after: '', turned: false, suffixes };
  }
  const [given = '', ...more] = after;
  const suffixes = more.flatMap((word) => [
    part('separator', ', '),
    part(suffixKind(word) ?? 'credential', word),
  ]);
  return { before, after: given, turned: true, suffixes };
}

function suffixKind(word: string): 'credential' | 'generation' | undefined {
  if (isOneOf(word, GENERATIONS)) return 'generation';
  // "Ma" and "Ba" are surnames; the degree is written in capitals or with dots.
  if (
    isOneOf(word, CREDENTIALS) &&
    (/\./.test(word) || /[A-Z]{2}|[a-z][A-Z]/.test(word) || /^(ph|esq)/i.test(word))
  ) {
    return 'credential';
  }
  return undefined;
}

/** Takes leading titles off `tokens`, leaving at least one other word. */
/** Titles that are given names as well, before a single other word more likely so. */
const GIVEN_TOO = new Set(['don', 'dom', 'gen', 'dame']);

function takeTitles(tokens: string[]): NameComponent[] {
  const titles: NameComponent[] = [];
  const isTitle = (word: string) =>
    isOneOf(word, TITLES) ||
    // No name begins with a small abbreviation: "r. pr. Maciej Ostaszewski".
    ((DOTTED_TITLES.has(word.toLowerCase()) || /^\p{Ll}{1,5}\.$/u.test(word)) && tokens.length > 2) ||
    (titles.length > 0 && (FACULTIES.test(word) || /^\(\p{Lu}{2}\)$/u.test(word)));
  const isGiven = () =>
    titles.length === 0 && tokens.length === 2 && GIVEN_TOO.has(tokens[0]?.toLowerCase() ?? '');
  while (tokens.length > 1 && isTitle(tokens[0] ?? '') && !isGiven())
    titles.push(part('title', tokens.shift() ?? ''));
  return titles;
}

/** Takes degrees and generations off the end of `tokens`, leaving a given name and a surname. */
function takeSuffixes(tokens: string[], hasTitle: boolean): NameComponent[] {
  const suffixes: NameComponent[] = [];
  const fewest = hasTitle ? 1 : 2;
  for (;;) {
    const bracketed =
      /^\(\p{L}+\)$/u.test(tokens.at(-1) ?? '') && suffixKind(tokens.at(-2) ?? '') !== undefined;
    if (bracketed) tokens.push(`${tokens.splice(-2, 1)[0] ?? ''} ${tokens.pop() ?? ''}`);
    const kind = suffixKind((tokens.at(-1) ?? '').split(' ')[0] ?? '');
    if (kind === undefined || tokens.length <= fewest) return suffixes;
    suffixes.unshift(part(kind, tokens.pop() ?? ''));
  }
}

function nameProper(tokens: readonly string[], hints: NameHints): NameComponent[] {
  const [first = ''] = tokens;
  const whole = tokens.join(' ');
  if (tokens.length === 1) {
    const split = splitUnspacedName(first);
    return split ? [part('surname', split.surname), part('given', split.given)] : [part('given', first)];
  }
  if (hints.familyFirst === true || isFamilyFirstScript(whole)) {
    return [part('surname', first), ...givenNames(tokens.slice(1))];
  }
  const start = surnameStart(tokens, hints.doubleSurname === true);
  return [...givenNames(tokens.slice(0, start)), ...surnames(tokens.slice(start), hints)];
}

/** Where the surname begins: at the first particle after the first word, else at the last word. */
function surnameStart(tokens: readonly string[], isDouble: boolean): number {
  if (isOneOf(tokens[0] ?? '', PARTICLES) && tokens[0] === tokens[0]?.toLowerCase()) return 0;
  const particle = tokens.findIndex((word, i) => i > 0 && i < tokens.length - 1 && isParticle(word));
  const last = tokens.length - 1;
  if (isDouble && last >= 2) {
    // "María José Pérez y Ramos": the word before "y" is the first surname.
    if (particle > 1 && /^[yei]$/.test(tokens[particle] ?? '')) return particle - 1;
    return particle > 0 ? Math.min(particle, last - 1) : last - 1;
  }
  if (particle > 1 && /^[yei]$/.test(tokens[particle] ?? '')) return particle - 1;
  return particle > 0 ? particle : last;
}

/** A capital letter alone ("E") is an initial, not the particle "e". */
function isParticle(word: string): boolean {
  return isOneOf(word, PARTICLES) && !/^\p{Lu}\.?$/u.test(word);
}

function surnames(words: readonly string[], hints: NameHints): NameComponent[] {
  const last = words.at(-1);
  if (
    hints.doubleSurname === true &&
    words.length === 2 &&
    last !== undefined &&
    !isParticle(words[0] ?? '')
  ) {
    return [part('surname', words[0] ?? ''), part('surname2', last)];
  }
  return words.length > 0 ? [part('surname', words.join(' '))] : [];
}

function givenNames(words: readonly string[]): NameComponent[] {
  const [first, ...rest] = words;
  if (first === undefined) return [];
  return [part('given', first), ...(rest.length > 0 ? [part('given2', rest.join(' '))] : [])];
}
