import type { Vocabulary } from '../facts/vocabulary';
import { type MatchShares, SHIPPED } from './columns';
import type { PairComparison } from './comparePair';
import { chancesOf, type Learnt, Model, UNTAUGHT } from './model';

/** Rounds of learning; the figures hardly move after so many. */
const ROUNDS = 4;
/** Pairs of one person that the shipped shares count for, so that a small book teaches little. Ours. */
const SHIPPED_PAIRS = 60;

type Counts = { [Field in keyof MatchShares]: Record<string, number> };

/**
 * Learns from the pairs of a book that were compared, without being told which are right: expectation–maximisation
 * (Dempster, Laird and Rubin 1977; for linkage Winkler 1988). What strangers have in common is counted, not learnt.
 *
 * @param times - pairs of the book that each of these stands for
 */
export function learn(compared: readonly PairComparison[], vocabulary: Vocabulary, times = 1): Learnt {
  // What is hopeless at first stays so, and is most of it.
  const taught = withoutHopeless(compared, new Model(UNTAUGHT, vocabulary));
  let learnt = UNTAUGHT;
  for (let round = 0; round < ROUNDS; round += 1)
    learnt = learnOnce(taught, times, new Model(learnt, vocabulary));
  return learnt;
}

/** The chance of a pair below which it isn't looked at again. */
const HOPELESS = 1e-3;

function withoutHopeless(compared: readonly PairComparison[], model: Model): readonly PairComparison[] {
  return compared.filter((one) => chancesOf(model.sum(one))[0] >= HOPELESS);
}

function learnOnce(compared: readonly PairComparison[], times: number, model: Model): Learnt {
  const { vocabulary } = model;
  const counts = Object.fromEntries(Object.keys(SHIPPED).map((field) => [field, {}])) as Counts;
  let matches = 0;
  const add = (field: keyof MatchShares, level: string, weight: number) => {
    if (level !== 'missing' && level !== 'scripts')
      counts[field][level] = (counts[field][level] ?? 0) + weight;
  };
  for (const one of compared) {
    const [chance] = chancesOf(model.sum(one));
    if (chance < 0.01) continue;
    matches += times * chance;
    for (const { level } of one.name.matches) add('words', level, chance);
    add('name', one.name.conflict, chance);
    add('mail', one.mail.level, chance);
    add('phone', one.phone.level, chance);
    // How often two cards of one person share nothing isn't learnt: those are told from namesakes by little but this share, so
    // that a share a little too small would make itself smaller with every round.
    add('birth', one.birth, chance);
    add('place', one.place.level, chance);
    add('work', one.work.level, chance);
    add('title', one.title, chance);
    add('generation', one.generation, chance);
  }
  const shares = Object.fromEntries(
    (Object.keys(SHIPPED) as (keyof MatchShares)[]).map((field) => [
      field,
      shareOut(counts[field], SHIPPED[field]),
    ]),
  ) as unknown as MatchShares;
  // Birthdays of which only the years are known are too few to teach anything.
  const { year, years, ...days } = SHIPPED.birth;
  const birth = { ...shareOut(counts.birth, days), year, years } as MatchShares['birth'];
  const { cards } = vocabulary;
  const known = SHIPPED_PAIRS / UNTAUGHT.matches;
  return {
    shares: { ...shares, birth },
    matches: (matches + SHIPPED_PAIRS) / (cards + known),
  };
}

/** A share may be learnt to be this much of the shipped one at least: what hardly occurs in a book isn't impossible. Ours. */
const LEAST_OF_SHIPPED = 0.25;

/** Shares of what was counted, on top of the shipped ones. */
function shareOut(
  counted: Readonly<Record<string, number>>,
  shipped: Readonly<Record<string, number>>,
): Record<string, number> {
  const total = Object.values(counted).reduce((sum, one) => sum + one, 0);
  const whole = Object.values(shipped).reduce((sum, one) => sum + one, 0);
  return Object.fromEntries(
    Object.entries(shipped).map(([level, share]) => [
      level,
      Math.max(
        (LEAST_OF_SHIPPED * share) / whole,
        ((counted[level] ?? 0) + SHIPPED_PAIRS * (share / whole)) / (total + SHIPPED_PAIRS),
      ),
    ]),
  );
}
