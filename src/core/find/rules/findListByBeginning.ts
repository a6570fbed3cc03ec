import { foldedWords } from '@/core/base';

/** What names there are for a line to name. */
export interface Known {
  /** Lists with their names. */
  readonly lists: readonly { readonly uid: string; readonly name: string }[];
}

/** The list whose name begins with as many of the words as possible, and how many those are. */
export function findListByBeginning(
  words: readonly string[],
  { lists }: Known,
): { readonly list: Known['lists'][number]; readonly taken: number } | undefined {
  for (let taken = words.length; taken > 0; taken -= 1) {
    const typed = foldedWords(words.slice(0, taken).join(' ')).join(' ');
    const list =
      typed === '' ? undefined : lists.find(({ name }) => foldedWords(name).join(' ').startsWith(typed));
    if (list) return { list, taken };
  }
  return undefined;
}
