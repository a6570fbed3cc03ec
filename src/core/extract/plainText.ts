/**
 * Text in which letters and signs stand as the rules expect them, each at the place where it stood: full-width forms
 * as ASCII, odd spaces and dashes as plain ones, typed marks that can't be seen as spaces.
 *
 * @returns as many code units as came in
 */
export function plainText(text: string): string {
  return text.replace(
    /[\u00a0\u2000-\u200f\u2010-\u2015\u2028\u2029\u202f\u2060\u2212\u3000\ufeff\uff01-\uff5e]/g,
    (char) => {
      const code = char.charCodeAt(0);
      if (code >= 0xff01 && code <= 0xff5e) return String.fromCharCode(code - 0xfee0);
      if ((code >= 0x2010 && code <= 0x2015) || code === 0x2212) return '-';
      return code === 0x2028 || code === 0x2029 ? '\n' : ' ';
    },
  );
}
