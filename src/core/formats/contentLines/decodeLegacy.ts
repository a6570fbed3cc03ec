import { decodeCharset, decodeUtf8, decodeWindows1252, encodeUtf8 } from '@/core/base';

import type { ContentLine, Params } from './contentLine';

/** Values that vCard 2.1 writes bare where later versions have ENCODING. */
const BARE_ENCODING = /^(quoted-printable|base64|7bit|8bit|b)$/i;

/** Values of which commas are no separators in vCard 2.1, but for these. */
const COMMA_LISTS = new Set(['CATEGORIES', 'NICKNAME']);

/**
 * Brings a property in the manner of vCard 2.1 to that of later versions: quoted-printable decoded by its CHARSET,
 * ENCODING and CHARSET gone, bare encodings no longer taken for types.
 *
 * Source: vCard 2.1 (versit, 1996; from memory), RFC 2045 §6.7 for quoted-printable.
 *
 * @param isVersion21 - commas are plain characters then, and are escaped
 */
export function decodeLegacy(line: ContentLine, isVersion21: boolean): ContentLine {
  const bare = bareEncoding(line.params['TYPE']);
  const encoding = (line.params['ENCODING']?.[0] ?? bare ?? '').toLowerCase();
  const needsNothing = encoding === '' && line.params['CHARSET'] === undefined;
  if (needsNothing && (!isVersion21 || !line.value.includes(','))) return line;
  const { CHARSET: _, ...kept } = line.params;
  const params: Params = kept;
  if (bare !== undefined) params['TYPE'] = (params['TYPE'] ?? []).filter((type) => type !== bare);
  if (encoding === 'base64' || encoding === 'b') return { ...line, params: { ...params, ENCODING: ['b'] } };
  delete params['ENCODING'];
  const isQuoted = encoding === 'quoted-printable';
  const plain = isQuoted ? decodeQuotedPrintable(line.value, line.params['CHARSET']?.[0]) : line.value;
  const isList = COMMA_LISTS.has(line.name) || !isVersion21;
  const value = isList ? plain : plain.replace(/(\\.)|,/gs, (found, escaped) => (escaped ? found : '\\,'));
  return { ...line, params, value: value.replace(/\r\n?|\n/g, '\\n') };
}

/**
 * The encoding among the types, if there is one; recognised by its first letter, as nearly every line passes through
 * here.
 */
function bareEncoding(types: readonly string[] | undefined): string | undefined {
  if (types === undefined) return undefined;
  for (const type of types) if ('qQbB78'.includes(type.charAt(0)) && BARE_ENCODING.test(type)) return type;
  return undefined;
}

/** RFC 2045 §6.7; what is no code of two hexadecimal digits stays as it is. */
export function decodeQuotedPrintable(text: string, charset?: string): string {
  const bytes: number[] = [];
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charAt(i) === '=' ? /^[0-9a-f]{2}$/i.exec(text.slice(i + 1, i + 3))?.[0] : undefined;
    if (code !== undefined) {
      bytes.push(parseInt(code, 16));
      i += 2;
    } else {
      const char = String.fromCodePoint(text.codePointAt(i) ?? 0);
      bytes.push(...encodeUtf8(char));
      i += char.length - 1;
    }
  }
  const all = Uint8Array.from(bytes);
  const declared = charset === undefined ? undefined : decodeCharset(all, charset);
  return declared ?? decodeUtf8(all) ?? decodeWindows1252(all);
}
