/** Cultures of names that are told apart at most. Ours. */
const MOST = 24;
/** Cards that a given name has before a culture may be named after it, and names that are looked at for that. Ours. */
const [SEED_COUNT, SEEDS] = [8, 400];
/** Given names whose surnames are this alike (the cosine of how often they come together) are of one culture. Ours. */
const ALIKE = 0.12;
/** Rounds of learning; the shares hardly move after so many. */
const ROUNDS = 6;
/** Names that are learnt from at most. Ours. */
const MOST_LEARNT = 8000;
/** A word counts as this much more than seen, spread over all cultures. Ours. */
const SMOOTHING = 0.3;

/**
 * Which words of names come from one culture, learnt from how they come together in a book: a mixture of multinomials by
 * expectation–maximisation (Dempster, Laird and Rubin 1977). That two strangers share a given name and a surname is likelier
 * where few have names of that culture.
 */
export class Cultures {
  private readonly ids = new Map<string, number>();
  private readonly count: number;
  /** Shares of the cultures, 0 to 1. */
  private readonly shares: Float64Array;
  /** For each word, how much likelier each culture is than for any word. */
  private readonly byWord: Float64Array;

  /** @param names - the words of each person's name @param isGiven - whether the book has a word as a given name */
  constructor(names: readonly (readonly string[])[], isGiven: (word: string) => boolean) {
    const counts = new Map<string, number>();
    for (const words of names)
      for (const word of words) {
        counts.set(word, (counts.get(word) ?? 0) + 1);
        if (!this.ids.has(word)) this.ids.set(word, this.ids.size);
      }
    const seeds = findSeeds(names, counts, isGiven);
    this.count = seeds.length;
    this.shares = new Float64Array(this.count).fill(1 / Math.max(1, this.count));
    this.byWord = new Float64Array(this.ids.size * this.count);
    if (this.count < 2) return;
    const coded = names.map((words) => words.map((word) => this.ids.get(word) ?? 0));
    this.begin(
      coded,
      seeds.map((seed) => this.ids.get(seed) ?? 0),
    );
    const step = Math.max(1, Math.ceil(coded.length / MOST_LEARNT));
    const some = step === 1 ? coded : coded.filter((_, i) => i % step === 0);
    for (let round = 0; round < ROUNDS; round += 1) this.learn(some);
    // And once all names, as each has words of its own.
    if (step > 1) this.learn(coded);
  }

  /** How much oftener words come together on one name than if each could go with any; 1 where nothing is known of them. */
  together(words: readonly string[]): number {
    const { count, shares, byWord, ids } = this;
    if (count < 2) return 1;
    const known = words.map((word) => ids.get(word) ?? -1).filter((id) => id >= 0);
    if (known.length < 2) return 1;
    let sum = 0;
    for (let k = 0; k < count; k += 1) {
      let one = shares[k] ?? 0;
      for (const id of known) one *= byWord[id * count + k] ?? 0;
      sum += one;
    }
    return sum;
  }

  /** Names with a seed are of its culture; all others may be of any. */
  private begin(names: readonly (readonly number[])[], seeds: readonly number[]): void {
    const { count, byWord } = this;
    byWord.fill(0.05 / count);
    for (const words of names) {
      const k = seeds.findIndex((seed) => words.includes(seed));
      if (k >= 0) for (const id of words) byWord[id * count + k] = (byWord[id * count + k] ?? 0) + 1;
    }
    this.normalise();
  }

  private learn(names: readonly (readonly number[])[]): void {
    const { count, byWord, shares } = this;
    const next = new Float64Array(byWord.length);
    const sums = new Float64Array(count);
    const chances = new Float64Array(count);
    for (const words of names) {
      let total = 0;
      for (let k = 0; k < count; k += 1) {
        let one = shares[k] ?? 0;
        for (const id of words) one *= byWord[id * count + k] ?? 0;
        chances[k] = one;
        total += one;
      }
      if (!(total > 0)) continue;
      for (let k = 0; k < count; k += 1) {
        const weight = (chances[k] ?? 0) / total;
        sums[k] = (sums[k] ?? 0) + weight;
        for (const id of words) next[id * count + k] = (next[id * count + k] ?? 0) + weight;
      }
    }
    const all = sums.reduce((sum, one) => sum + one, 0) + count;
    for (let k = 0; k < count; k += 1) shares[k] = ((sums[k] ?? 0) + 1) / all;
    byWord.set(next);
    this.normalise();
  }

  /** Makes of how often a word is of each culture how much likelier each is. */
  private normalise(): void {
    const { count, byWord, shares } = this;
    for (let at = 0; at < byWord.length; at += count) {
      let total = SMOOTHING;
      for (let k = 0; k < count; k += 1) total += byWord[at + k] ?? 0;
      for (let k = 0; k < count; k += 1) {
        const share = shares[k] ?? 1;
        byWord[at + k] = ((byWord[at + k] ?? 0) / share + SMOOTHING) / total;
      }
    }
  }
}

/** Given names that a culture each is begun with: frequent ones that share hardly any surname with those before. */
function findSeeds(
  names: readonly (readonly string[])[],
  counts: ReadonlyMap<string, number>,
  isGiven: (word: string) => boolean,
): string[] {
  const frequent = [...counts]
    .filter(([word, count]) => count >= SEED_COUNT && word.length > 1 && isGiven(word))
    .sort(([a, n], [b, m]) => m - n || (a < b ? -1 : 1))
    .slice(0, SEEDS);
  const beside = new Map(frequent.map(([word]) => [word, new Map<string, number>()]));
  for (const words of names)
    for (const word of words) {
      const met = beside.get(word);
      if (met)
        for (const other of words)
          if (other !== word && !isGiven(other)) met.set(other, (met.get(other) ?? 0) + 1);
    }
  const seeds: [string, ReadonlyMap<string, number>][] = [];
  for (const [word, met] of beside) {
    if (seeds.length === MOST) break;
    if (seeds.every(([, other]) => cosine(met, other) < ALIKE)) seeds.push([word, met]);
  }
  return seeds.map(([word]) => word);
}

function cosine(a: ReadonlyMap<string, number>, b: ReadonlyMap<string, number>): number {
  const square = (one: ReadonlyMap<string, number>) =>
    [...one.values()].reduce((sum, count) => sum + count * count, 0);
  let product = 0;
  for (const [word, count] of a) product += count * (b.get(word) ?? 0);
  return product / Math.sqrt(square(a) * square(b) || 1);
}
