import { type Name, parseName } from '@/core/card';

/** Where two surnames are usual (common practice). */
const DOUBLE_SURNAME = new Set('ES MX AR CL CO PE UY VE EC BO PY CR PA DO GT HN NI SV CU'.split(' '));

/**
 * A name in its parts as a signature has it: capitals made small where all are capitals, a surname set in capitals
 * told from the given names by it.
 *
 * @param sounds - how it is read, in kana with a space between surname and given name
 */
export function nameFrom(shown: string, sounds: string | undefined, home: string | undefined): Name {
  const capital = surnameInCapitals(shown);
  const line = capital ?? (isAllCapitals(shown) ? inSmallLetters(shown) : shown);
  const name = parseName(line, { doubleSurname: home !== undefined && DOUBLE_SURNAME.has(home) }) ?? {
    full: shown,
  };
  return sounds === undefined ? name : withSounds(name, sounds);
}

function isAllCapitals(text: string): boolean {
  const letters = text.replace(/[^\p{L}]/gu, '');
  return letters.length > 3 && letters === letters.toUpperCase() && letters !== letters.toLowerCase();
}

/** "ANNA-LENA MÜLLER" as "Anna-Lena Müller"; degrees keep their capitals. */
function inSmallLetters(text: string): string {
  return text.replace(/[\p{L}\p{M}]+/gu, (word, at: number) => {
    const follows = text.slice(0, at);
    if (/,\s*$/.test(follows) && word.length <= 4) return word;
    if (/^(?:VON|VAN|DE|DER|DEN|DEL|DELLA|DI|DA|DOS|DAS|DO|DU|LA|LE|ZU)$/.test(word) && follows.trim() !== '')
      return word.toLowerCase();
    return word.charAt(0) + word.slice(1).toLowerCase();
  });
}

/** "Jean DUPONT" and "DUPONT Jean" as "Jean Dupont"; undefined where it isn't written so. */
function surnameInCapitals(text: string): string | undefined {
  const words = text.split(' ');
  const isCapital = (word: string) => /^\p{Lu}[\p{Lu}'’-]+$/u.test(word) && word.length > 2;
  const isMixed = (word: string) => /^\p{Lu}\p{Ll}/u.test(word);
  // Orders and memberships behind a name are in capitals too: "Dr Miriam Oduya PhD FRSA".
  const behind = parseName(text)?.components?.filter(({ kind }) => kind === 'credential') ?? [];
  if (behind.length > 0) return undefined;
  const first = words.findIndex(isCapital);
  const surname = words.filter(isCapital);
  const given = words.filter((word) => !isCapital(word));
  if (
    first < 0 ||
    given.length === 0 ||
    !given.some(isMixed) ||
    !given.every((word) => isMixed(word) || /^\p{Lu}\.$/u.test(word))
  )
    return undefined;
  // Degrees behind a name are in capitals too; a surname has more letters than they do, or stands first.
  if (surname.join('').length <= 3 && first > 0) return undefined;
  if (/,/.test(text)) return undefined;
  const small = surname.map((word) => inSmallLetters(word)).join(' ');
  return `${given.join(' ')} ${small}`;
}

function withSounds(name: Name, sounds: string): Name {
  const spoken = sounds.split(/[ ・]/);
  const proper = (name.components ?? []).filter(({ kind }) => kind === 'surname' || kind === 'given');
  if (proper.length !== spoken.length) return name;
  const isHiragana = /\p{Script=Hiragana}/u.test(sounds);
  return {
    ...name,
    phoneticScript: isHiragana ? 'Hira' : 'Kana',
    components: (name.components ?? []).map((part) => {
      const at = proper.indexOf(part);
      const phonetic = spoken[at];
      return phonetic === undefined ? part : { ...part, phonetic };
    }),
  };
}
