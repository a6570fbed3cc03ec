/** A letter of the thumb index and how many rows stand under it. */
export interface LetterCount {
  readonly letter: string;
  readonly count: number;
}

/** One pressable cell: a letter, or a run of letters that share it for want of room. */
export interface LetterCell {
  /** "A", or "Β–Ω" for a run. */
  readonly label: string;
  readonly count: number;
  /** Place of its first letter among all. */
  readonly index: number;
}

/**
 * Cells for letters, at most `maxCells`: as long as there are too many, the two neighbours with the fewest rows
 * between them become one. The order stays and every letter stays reachable.
 */
export function fitLetters(letters: readonly LetterCount[], maxCells: number): LetterCell[] {
  const runs = letters.map(({ letter, count }, index) => ({ first: letter, last: letter, count, index }));
  while (runs.length > Math.max(1, maxCells)) {
    let least = 0;
    for (let i = 1; i < runs.length - 1; i += 1) {
      if (together(runs, i) < together(runs, least)) least = i;
    }
    const [a, b] = [runs[least], runs[least + 1]];
    if (!a || !b) break;
    runs.splice(least, 2, { first: a.first, last: b.last, count: a.count + b.count, index: a.index });
  }
  return runs.map(({ first, last, count, index }) => ({
    label: first === last ? first : `${first}–${last}`,
    count,
    index,
  }));
}

function together(runs: readonly { readonly count: number }[], i: number): number {
  return (runs[i]?.count ?? 0) + (runs[i + 1]?.count ?? 0);
}
