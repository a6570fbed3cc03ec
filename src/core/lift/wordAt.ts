/** What stands between words. */
const GAP = /[\s|•·,;<>()]/;

/** The word of a text at a place, from its first code unit to behind its last; undefined between words. */
export function wordAt(
  text: string,
  at: number,
): { readonly start: number; readonly end: number } | undefined {
  if (at < 0 || at >= text.length || GAP.test(text.charAt(at))) return undefined;
  let start = at;
  let end = at;
  while (start > 0 && !GAP.test(text.charAt(start - 1))) start -= 1;
  while (end < text.length && !GAP.test(text.charAt(end))) end += 1;
  return { start, end };
}
