/**
 * How many letters must be changed, put in, left out or swapped with their neighbour so that a word begins as typed
 * (Damerau's distance in its restricted form, taken to the best beginning of the word).
 *
 * @returns the count, or a number above `max` as soon as it can't be kept to
 */
export function compareBeginning(typed: string, word: string, max: number): number {
  const width = Math.min(word.length, typed.length + max);
  if (width < typed.length - max) return max + 1;
  let older: number[] = [];
  let last = Array.from({ length: width + 1 }, (_, j) => j);
  for (let i = 1; i <= typed.length; i += 1) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= width; j += 1) {
      const isSame = typed.charCodeAt(i - 1) === word.charCodeAt(j - 1);
      let cost = Math.min((last[j] ?? 0) + 1, (row[j - 1] ?? 0) + 1, (last[j - 1] ?? 0) + (isSame ? 0 : 1));
      const isSwapped =
        i > 1 &&
        j > 1 &&
        typed.charCodeAt(i - 1) === word.charCodeAt(j - 2) &&
        typed.charCodeAt(i - 2) === word.charCodeAt(j - 1);
      if (isSwapped) cost = Math.min(cost, (older[j - 2] ?? 0) + 1);
      row.push(cost);
      least = Math.min(least, cost);
    }
    if (least > max) return max + 1;
    older = last;
    last = row;
  }
  return Math.min(...last);
}

/** Letters of a word that may be wrong: none of a short one, of which nearly any other is a neighbour. Ours. */
export function maxTypos(word: string): number {
  if (word.length < 4) return 0;
  return word.length < 8 ? 1 : 2;
}
