/** The common named entities of HTML (WHATWG HTML §13.5 has 2,000 more). */
const NAMED: Readonly<Record<string, string>> = {
  ...{ amp: '&', lt: '<', gt: '>', quot: '"', apos: "'", nbsp: ' ', ndash: '–', mdash: '—', hellip: '…' },
  ...{ lsquo: '‘', rsquo: '’', ldquo: '“', rdquo: '”' },
};

/** The words of a piece of HTML, in one line; nothing in it is run or shown as it stands. */
export function plainWords(html: string): string {
  const words = html
    .replace(/<(script|style)\b[\s\S]*?<\/\1\s*>/gi, ' ')
    .replace(/<!--[\s\S]*?-->/g, ' ')
    .replace(/<[^>]*>/g, ' ');
  return oneLine(
    words.replace(/&(#x[\da-f]{1,6}|#\d{1,7}|[a-z]{2,8});/gi, (whole, name: string) => charOf(name) ?? whole),
  );
}

/** A text in one line, single spaces between its words. */
export function oneLine(text: string): string {
  return text.replace(/\s+/g, ' ').trim();
}

/** A text cut at a word, with an ellipsis where something was left out. @param max - code points, over 20 */
export function shortened(text: string, max: number): string {
  const chars = [...text];
  if (chars.length <= max) return text;
  const cut = chars.slice(0, max - 1).join('');
  const space = cut.lastIndexOf(' ');
  return `${(space > max / 2 ? cut.slice(0, space) : cut).trimEnd()}…`;
}

function charOf(name: string): string | undefined {
  if (!name.startsWith('#')) return NAMED[name.toLowerCase()];
  const code = /^#x/i.test(name) ? Number.parseInt(name.slice(2), 16) : Number(name.slice(1));
  return code > 0 && code <= 0x10ffff && (code < 0xd800 || code > 0xdfff)
    ? String.fromCodePoint(code)
    : undefined;
}
