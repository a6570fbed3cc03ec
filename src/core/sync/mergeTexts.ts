import { diff3Merge, diffComm } from 'node-diff3';

const LINE_END = /\r\n|\r|\n/;

/**
 * Two versions of a text brought together by lines (Khanna, Kunal and Pierce, "A formal investigation of diff3", 2007).
 *
 * @returns undefined where both have changed the same lines, or lines beside each other, differently
 */
export function mergeTexts(base: string, mine: string, theirs: string): string | undefined {
  const [was, my, their] = [base, mine, theirs].map((text) => text.split(LINE_END));
  const regions = diff3Merge(my ?? [], was ?? [], their ?? [], { excludeFalseConflicts: true });
  return regions.some(({ conflict }) => conflict)
    ? undefined
    : regions.flatMap(({ ok = [] }) => ok).join('\n');
}

/** Two texts that have no version in common as one: all lines of both, each in its order, those that both have once. */
export function joinTexts(mine: string, theirs: string): string {
  if (mine === theirs || theirs === '') return mine;
  if (mine === '') return theirs;
  const [my, their] = [mine, theirs].map((text) => text.split(LINE_END)) as [string[], string[]];
  const parts = diffComm(my, their);
  // Two texts of their own.
  if (!parts.some(({ common }) => common)) return `${mine}\n\n${theirs}`;
  return parts
    .flatMap(({ common, buffer1 = [], buffer2 = [] }) => common ?? [...buffer1, ...buffer2])
    .join('\n');
}
