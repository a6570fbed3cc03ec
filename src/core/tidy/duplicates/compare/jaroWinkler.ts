/** Winkler (1990): letters of a common beginning that count, and how much each does. */
const [MAX_PREFIX, PREFIX_WEIGHT] = [4, 0.1];

/**
 * How alike two words are, 0 to 1: the letters they have in common within a window, and in which order (Jaro 1989),
 * more where they begin alike (Winkler 1990).
 */
export function jaroWinkler(a: string, b: string): number {
  if (a === b) return 1;
  const jaro = jaroOf(a, b);
  let prefix = 0;
  while (prefix < MAX_PREFIX && prefix < a.length && a[prefix] === b[prefix]) prefix += 1;
  return jaro + prefix * PREFIX_WEIGHT * (1 - jaro);
}

function jaroOf(a: string, b: string): number {
  if (a.length === 0 || b.length === 0) return 0;
  const window = Math.max(0, Math.floor(Math.max(a.length, b.length) / 2) - 1);
  const isTaken = new Uint8Array(b.length);
  const matched: string[] = [];
  for (let i = 0; i < a.length; i += 1)
    for (let j = Math.max(0, i - window); j < Math.min(b.length, i + window + 1); j += 1)
      if (isTaken[j] === 0 && a[i] === b[j]) {
        isTaken[j] = 1;
        matched.push(a[i] ?? '');
        break;
      }
  if (matched.length === 0) return 0;
  let moved = 0;
  let at = 0;
  for (let j = 0; j < b.length; j += 1)
    if (isTaken[j] === 1) {
      if (b[j] !== matched[at]) moved += 1;
      at += 1;
    }
  const m = matched.length;
  return (m / a.length + m / b.length + (m - moved / 2) / m) / 3;
}
