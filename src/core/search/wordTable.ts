import { compareBeginning } from './nearness';

/** New words beyond this many are sorted in; before that they are looked through one by one. */
const MAX_FRESH = 400;

/** Words with what they lead to, found by their beginnings. */
export class WordTable {
  private readonly postings = new Map<string, number[]>();
  private sorted: string[] = [];
  private fresh: string[] = [];

  /** Notes that a word leads to a number; the same twice in a row counts once. */
  add(word: string, posting: number): void {
    const list = this.postings.get(word);
    if (!list) {
      this.postings.set(word, [posting]);
      this.fresh.push(word);
    } else if (list.at(-1) !== posting) {
      list.push(posting);
    }
  }

  /** Calls back for everything that words with this beginning lead to, and whether the word is the whole. */
  forEachPrefix(prefix: string, visit: (posting: number, isWhole: boolean) => void): void {
    if (this.fresh.length > MAX_FRESH) this.sortIn();
    for (let i = this.lowerBound(prefix); i < this.sorted.length; i += 1) {
      const word = this.sorted[i] ?? '';
      if (!word.startsWith(prefix)) break;
      this.visitWord(word, word === prefix, visit);
    }
    for (const word of this.fresh) if (word.startsWith(prefix)) this.visitWord(word, word === prefix, visit);
  }

  /** Calls back for words that begin nearly like this, with the count of letters that differ. */
  forEachNear(word: string, max: number, visit: (posting: number, typos: number) => void): void {
    for (const known of this.postings.keys()) {
      const typos = compareBeginning(word, known, max);
      if (typos <= max) this.visitWord(known, false, (posting) => visit(posting, typos));
    }
  }

  private visitWord(
    word: string,
    isWhole: boolean,
    visit: (posting: number, isWhole: boolean) => void,
  ): void {
    for (const posting of this.postings.get(word) ?? []) visit(posting, isWhole);
  }

  private sortIn(): void {
    this.sorted = [...this.postings.keys()].sort();
    this.fresh = [];
  }

  private lowerBound(prefix: string): number {
    let [low, high] = [0, this.sorted.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.sorted[middle] ?? '') < prefix) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
