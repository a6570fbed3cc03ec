/** RFC 6350 §3.2: octets a physical line may hold, its CRLF not counted. */
const MAX_OCTETS = 75;

/**
 * Splits one logical line into physical lines.
 *
 * Source: RFC 6350 §3.2. A character is never cut in two; every continuation begins with one space, which counts
 * towards its 75 octets.
 *
 * @param line - logical line, without a line break (escapeText has seen to that)
 * @returns physical lines joined by CRLF, none at the end; '' gives ''
 */
export function foldLine(line: string): string {
  if (line.length * 3 <= MAX_OCTETS) return line;
  let folded = '';
  let octets = 0;
  for (const char of line) {
    const size = octetsOf(char);
    if (octets + size > MAX_OCTETS) {
      folded += '\r\n ';
      octets = 1;
    }
    folded += char;
    octets += size;
  }
  return folded;
}

/** UTF-8 length of one code point, 1 to 4 (RFC 3629 §3). */
function octetsOf(char: string): number {
  const code = char.codePointAt(0) ?? 0;
  if (code < 0x80) return 1;
  if (code < 0x800) return 2;
  return code < 0x10000 ? 3 : 4;
}
