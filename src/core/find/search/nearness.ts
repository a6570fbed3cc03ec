/**
 * How many letters must be changed, put in, left out or swapped with their neighbour so that a word begins as typed
 * (Damerau's distance in its restricted form, taken to the best beginning of the word).
 *
 * @returns the count, or a number above `max` as soon as it can't be kept to
 */
export function compareBeginning(typed: string, word: string, max: number): number {
  const width = Math.min(word.length, typed.length + max);
  if (width < typed.length - max || typed.length > MAX_LENGTH) return max + 1;
  for (let j = 0; j <= width; j += 1) rows[1][j] = j;
  for (let i = 1; i <= typed.length; i += 1) {
    const [older, last, row] = [
      rows[(i + 2) % 3] ?? rows[0],
      rows[i % 3] ?? rows[1],
      rows[(i + 1) % 3] ?? rows[2],
    ];
    if (fillRow(row, last, older, { typed, word, i, width }) > max) return max + 1;
  }
  const last = rows[(typed.length + 1) % 3] ?? rows[0];
  let least = max + 1;
  for (let j = 0; j <= width; j += 1) least = Math.min(least, last[j] ?? least);
  return least;
}

/** Longer words are not checked for typos. */
const MAX_LENGTH = 60;

/** The rows of the table of distances, used again for each word: there are tens of thousands. */
const rows = [
  new Uint8Array(MAX_LENGTH + 8),
  new Uint8Array(MAX_LENGTH + 8),
  new Uint8Array(MAX_LENGTH + 8),
] as const;

interface Cell {
  readonly typed: string;
  readonly word: string;
  readonly i: number;
  readonly width: number;
}

/** Fills the row of one typed letter; gives the least of it. */
function fillRow(
  row: Uint8Array,
  last: Uint8Array,
  older: Uint8Array,
  { typed, word, i, width }: Cell,
): number {
  const letter = typed.charCodeAt(i - 1);
  const before = i > 1 ? typed.charCodeAt(i - 2) : -1;
  row[0] = i;
  let least = i;
  let left = i;
  for (let j = 1; j <= width; j += 1) {
    const other = word.charCodeAt(j - 1);
    const diagonal = (last[j - 1] ?? 0) + (letter === other ? 0 : 1);
    let cost = Math.min((last[j] ?? 0) + 1, left + 1, diagonal);
    if (j > 1 && letter === word.charCodeAt(j - 2) && before === other)
      cost = Math.min(cost, (older[j - 2] ?? 0) + 1);
    row[j] = cost;
    left = cost;
    if (cost < least) least = cost;
  }
  return least;
}

/** Typos allowed in a word: none in a short one, which nearly any other resembles. Our choice. */
export function maxTypos(word: string): number {
  if (word.length < 4) return 0;
  return word.length < 8 ? 1 : 2;
}
