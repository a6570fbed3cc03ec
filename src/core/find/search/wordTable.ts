import { compareBeginning } from './nearness';

/** New words beyond this many are sorted in; before that they are looked through one by one. */
const MAX_FRESH = 400;

/** Words with what they lead to, found by their beginnings. */
export class WordTable {
  private readonly postings = new Map<string, number[]>();
  private sorted: string[] = [];
  private fresh: string[] = [];
  /** Of each of the sorted words: which letters it has, as bits, and the codes of its first two. */
  private letters = new Uint32Array(0);
  private beginnings = new Uint32Array(0);

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
    if (this.fresh.length > MAX_FRESH) this.sortIn();
    const wished = lettersOf(word);
    const [first, second] = [word.charCodeAt(0), word.charCodeAt(1)];
    // Most words are ruled out by their first two letters, and by those they lack.
    const canBe = (beginning: number, letters: number) => {
      const [a, b] = [beginning >>> 16, beginning & 0xffff];
      if (a !== first && a !== second && b !== first && b !== second) return false;
      return countBits(wished & ~letters) <= max;
    };
    const look = (known: string) => {
      const typos = compareBeginning(word, known, max);
      if (typos <= max) this.visitWord(known, false, (posting) => visit(posting, typos));
    };
    for (let i = 0; i < this.sorted.length; i += 1)
      if (canBe(this.beginnings[i] ?? 0, this.letters[i] ?? 0)) look(this.sorted[i] ?? '');
    for (const known of this.fresh) if (canBe(beginningOf(known), lettersOf(known))) look(known);
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
    this.letters = Uint32Array.from(this.sorted, lettersOf);
    this.beginnings = Uint32Array.from(this.sorted, beginningOf);
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

/** A bit for each letter that a word has; letters that share one make words look nearer than they are. */
function lettersOf(word: string): number {
  let bits = 0;
  for (let i = 0; i < word.length; i += 1) bits |= 1 << (word.charCodeAt(i) & 31);
  return bits;
}

/** The codes of the first two letters in one number; 0 for one that isn't there. */
function beginningOf(word: string): number {
  return ((word.charCodeAt(0) || 0) * 0x10000 + (word.charCodeAt(1) || 0)) >>> 0;
}

/** Counts in parallel; Hacker's Delight, 5-1. */
function countBits(bits: number): number {
  let count = bits - ((bits >>> 1) & 0x55555555);
  count = (count & 0x33333333) + ((count >>> 2) & 0x33333333);
  return Math.imul((count + (count >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}
