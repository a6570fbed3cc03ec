import { isApart } from './candidates';
import { type Cluster, LEAST } from './cluster';
import { compareNames } from './compare/compareNames';
import { areBornApart, compareBirths, compareGenerations } from './compare/compareRest';
import type { DuplicateFacts } from './facts/facts';
import { type Grade, gradeOf, worseGrade } from './grade';
import { joinFacts } from './joinFacts';
import { judgePair, reasonsOf } from './judgePair';
import { clamp } from './model/evidence';
import type { Judgement } from './model/judgement';
import type { Model } from './model/model';

/** Two cards that may be the same, by their places in the book. */
export interface Link {
  readonly a: number;
  readonly b: number;
  readonly judgement: Judgement;
}

/** Cards taken to be one person so far. */
interface Person {
  readonly places: readonly number[];
  /** What all of them say together. */
  readonly facts: DuplicateFacts;
  readonly probability: number;
  readonly grade: Grade;
  readonly weakest?: Judgement;
}

/** Two cards with other given names that are likelier of one person than this may be. Ours. */
const TWO = 0.01;

/** What a name alone has to make likely before two cards are joined: nothing that they share could bear it out. Ours. */
const LEAST_BY_NAME = 0.7;

/** Passes over the links: a card that fits nobody by itself may fit when others have come together. */
const PASSES = 3;

/**
 * Joins links into persons, the surest first. Two are joined where two of their cards, or what all of their cards say together,
 * are likelier of one person than of two; a contradiction between any two cards keeps them apart, whatever else they share.
 */
export function joinLinks(links: Link[], all: readonly DuplicateFacts[], model: Model): Cluster[] {
  links.sort((x, y) => y.judgement.probability - x.judgement.probability || x.a - y.a || x.b - y.b);
  const personOf = new Map<number, Person>();
  const alone = (place: number): Person | undefined => {
    const facts = all[place];
    return facts && { places: [place], facts, probability: 1, grade: 'certain' };
  };
  let left = links;
  for (let pass = 0; pass < PASSES && left.length > 0; pass += 1) {
    const before = left.length;
    left = left.filter(({ a, b, judgement }) => {
      const [mine, theirs] = [personOf.get(a) ?? alone(a), personOf.get(b) ?? alone(b)];
      if (!mine || !theirs || mine === theirs) return false;
      const joined = join(mine, theirs, judgement, all, model);
      if (!joined) return true;
      for (const place of joined.places) personOf.set(place, joined);
      return false;
    });
    if (left.length === before) break;
  }
  return [...new Set(personOf.values())].map(({ places, probability, grade, weakest }) => ({
    uids: places.flatMap((place) => all[place]?.uid ?? []).sort(),
    ...{ probability, grade },
    evidence: weakest ? reasonsOf(weakest, model) : [],
  }));
}

function join(
  mine: Person,
  theirs: Person,
  link: Judgement,
  all: readonly DuplicateFacts[],
  model: Model,
): Person | undefined {
  const isPair = mine.places.length + theirs.places.length === 2;
  const isSaid = link.probability >= LEAST;
  if (isPair && !isSaid) return undefined;
  if (isByName(link) && link.probability < LEAST_BY_NAME) return undefined;
  if (contradict(mine, theirs, all, model)) return undefined;
  // What two cards share stands by itself; by their names alone all have to fit.
  const judgement = isSaid ? link : judgePair(mine.facts, theirs.facts, model);
  if (!isPair && isByName(link) && sumOfOdds(mine, theirs, all, model) < 0) return undefined;
  if (judgement.probability < LEAST) return undefined;
  const weakest = [mine.weakest, theirs.weakest].reduce<Judgement>(
    (least, one) => (one && one.probability < least.probability ? one : least),
    judgement,
  );
  return {
    places: [...mine.places, ...theirs.places],
    facts: joinFacts(mine.facts, theirs.facts),
    probability: mine.probability * theirs.probability * judgement.probability,
    grade: worseGrade(worseGrade(mine.grade, theirs.grade), gradeOf(judgement)),
    weakest,
  };
}

/** Whether two cards have nothing in common but the name. */
function isByName({ comparison }: Judgement): boolean {
  if (!comparison) return false;
  const { reach, birth, place } = comparison;
  return reach !== 'some' && birth !== 'same' && birth !== 'day' && place.level !== 'street';
}

/** No pair weighs more than this in the mean, as a natural logarithm of odds. Ours. */
const MOST_ODDS = 6;

/** Above 0 where two persons are one rather than two by all pairs of their cards. */
function sumOfOdds(mine: Person, theirs: Person, all: readonly DuplicateFacts[], model: Model): number {
  let sum = 0;
  for (const a of mine.places)
    for (const b of theirs.places) {
      const [one, other] = [all[a], all[b]];
      if (!one || !other) continue;
      const { probability } = judgePair(one, other, model);
      sum += clamp(Math.log(probability / (1 - probability)), -MOST_ODDS, MOST_ODDS);
    }
  return sum;
}

function contradict(mine: Person, theirs: Person, all: readonly DuplicateFacts[], model: Model): boolean {
  return mine.places.some((a) =>
    theirs.places.some((b) => {
      const [one, other] = [all[a], all[b]];
      if (!one || !other || isApart(one, other)) return true;
      if (one.isOrg) return false;
      if (areBornApart(one, other) || areOfOtherGenerations(one, other)) return true;
      return mine.places.length + theirs.places.length > 2 && areTwo(one, other, model);
    }),
  );
}

function areOfOtherGenerations({ name: a }: DuplicateFacts, { name: b }: DuplicateFacts): boolean {
  return compareGenerations(a.generation, b.generation) === 'differ';
}

/** Whether two cards can't be one person's: of other days or generations, or of other given names. */
function areTwo(a: DuplicateFacts, b: DuplicateFacts, model: Model): boolean {
  if (compareBirths(a.birth, b.birth) === 'differ') return true;
  // A given name that has been misread is another one too, but then much else agrees.
  return (
    compareNames(a, b, model.vocabulary).conflict === 'otherGiven' && judgePair(a, b, model).probability < TWO
  );
}
