/** Letters that Unicode doesn't take apart into a letter and a mark, and what people type for them. */
export const LETTERS: Readonly<Record<string, string>> = {
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  ø: 'o',
  đ: 'd',
  ð: 'd',
  þ: 'th',
  ł: 'l',
  ħ: 'h',
  ı: 'i',
  ŋ: 'n',
  ŧ: 't',
};

/**
 * Text as it is compared when looking for it: lower case, without marks, compatibility forms made plain
 * (Unicode NFKD), ø as o and ß as ss.
 */
export function foldText(text: string): string {
  // Most text is plain ASCII, for which the rest does nothing.
  if (/^[\x20-\x7e]*$/.test(text)) return text.toLowerCase();
  return text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[ßæœøđðþłħıŋŧ]/g, (letter) => LETTERS[letter] ?? letter);
}

/** The words of a text for looking things up: runs of letters and digits, folded. */
export function foldedWords(text: string): string[] {
  return foldText(text).match(/[\p{L}\p{N}]+/gu) ?? [];
}
