/** Writes text as a value of its own: RFC 6350 §3.4 asks for a backslash before backslash, comma and line break. */
export function escapeText(text: string): string {
  return text.replace(/[\\,]/g, '\\$&').replace(/\r\n|\r|\n/g, '\\n');
}

/** Writes text as a part of a compound value, where semicolons stand between the parts. */
export function escapePart(text: string): string {
  return escapeText(text).replaceAll(';', '\\;');
}

/** Reads a text value back. A backslash before any other character stays as it is. */
export function unescapeText(value: string): string {
  if (!value.includes('\\')) return value;
  return value.replace(/\\([\\,;:nN])/g, (_, char: string) => (char === 'n' || char === 'N' ? '\n' : char));
}

const BACKSLASH = '\\'.charCodeAt(0);

/** Splits a value at a separator that no backslash precedes; the parts are still escaped. */
export function splitValue(value: string, separator: ';' | ','): string[] {
  if (!value.includes('\\')) return value.split(separator);
  const code = separator.charCodeAt(0);
  const parts: string[] = [];
  let start = 0;
  for (let i = 0; i < value.length; i += 1) {
    const char = value.charCodeAt(i);
    if (char === BACKSLASH) i += 1;
    else if (char === code) {
      parts.push(value.slice(start, i));
      start = i + 1;
    }
  }
  parts.push(value.slice(start));
  return parts;
}

/** The texts of a value that is a list (RFC 6350 §3.4), empty ones left out. */
export function readTextList(value: string, separator: ';' | ',' = ','): string[] {
  if (value === '') return [];
  if (!value.includes(separator)) {
    const text = unescapeText(value).trim();
    return text === '' ? [] : [text];
  }
  const texts: string[] = [];
  for (const part of splitValue(value, separator)) {
    const text = unescapeText(part).trim();
    if (text !== '') texts.push(text);
  }
  return texts;
}

/** The parts of a compound value, each a list of texts. */
export function readCompound(value: string): string[][] {
  return splitValue(value, ';').map((part) => readTextList(part));
}
