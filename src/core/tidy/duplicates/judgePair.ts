import type { PartialDate } from '@/core/base';
import { texts } from '@/texts/tidy/duplicates';

import { compareWords, NAME_SHARES, type NameAgreement, wordWeight } from './compareNames';
import { clamp, type Evidence } from './evidence';
import type { DuplicateFacts } from './facts';
import type { Frequencies } from './frequencies';
import { judgeOrganisations } from './judgeOrganisations';
import { placeEvidence, type PlaceWeights } from './placeEvidence';
import { rarest, reachEvidence } from './reachEvidence';

/** What the evidence amounts to. */
export interface Judgement {
  /** 0 to 1. */
  readonly probability: number;
  /** The weightiest first. */
  readonly evidence: readonly Evidence[];
}

/** The share of cards that have a duplicate, before any evidence. Our estimate, from books grown over years. */
const DUPLICATES_SHARE = 0.1;

/** Weighs two cards (Fellegi and Sunter 1969): the log-odds of each field added up, on top of the prior. */
export function judgePair(a: DuplicateFacts, b: DuplicateFacts, frequencies: Frequencies): Judgement {
  if (a.isOrg !== b.isOrg)
    return { probability: 0, evidence: [{ kind: 'name', words: texts.personAndOrganisation, bits: -20 }] };
  const evidence = a.isOrg ? judgeOrganisations(a, b, frequencies) : judgePeople(a, b, frequencies);
  const bits = evidence.reduce(
    (sum, one) => sum + one.bits,
    Math.log2((2 * DUPLICATES_SHARE) / frequencies.size),
  );
  return {
    probability: 1 / (1 + 2 ** -bits),
    evidence: evidence
      .filter((one) => one.bits !== 0)
      .sort((one, other) => Math.abs(other.bits) - Math.abs(one.bits)),
  };
}

/** What being at one place weighs between people: they move. Ours. */
const PERSON_PLACES: PlaceWeights = {
  ...{ street: 3, town: 1, otherTown: -1 },
  otherWords: texts.differentTowns,
};

function judgePeople(a: DuplicateFacts, b: DuplicateFacts, frequencies: Frequencies): Evidence[] {
  const { evidence, given } = nameEvidence(a, b, frequencies);
  // Different given names where a household shares everything: a family, not one person.
  const share = given === 'differs' ? 0.5 : 1;
  return [
    ...evidence,
    ...generationEvidence(a, b),
    ...reachEvidence(a, b, frequencies).map((one) => ({ ...one, bits: one.bits * share })),
    ...birthEvidence(a.birth, b.birth),
    ...workEvidence(a, b, frequencies),
    ...placeEvidence(a, b, PERSON_PLACES).map((one) => ({ ...one, bits: one.bits * share })),
  ];
}

/** Given names and surnames, as they stand or the other way round, whichever agrees better. */
function nameEvidence(a: DuplicateFacts, b: DuplicateFacts, frequencies: Frequencies) {
  const straight = nameBits(a.given, a.surname, b, frequencies);
  const swapped = nameBits(a.surname, a.given, b, frequencies);
  const isSwapped = swapped.bits > straight.bits + 1;
  const best = isSwapped ? swapped : straight;
  const words = isSwapped ? texts.writtenOtherWayRound(best.words) : best.words;
  const evidence: Evidence[] = best.bits === 0 ? [] : [{ kind: 'name', words, bits: best.bits }];
  return { evidence, given: best.given };
}

function nameBits(
  given: readonly string[],
  surname: readonly string[],
  b: DuplicateFacts,
  frequencies: Frequencies,
): { bits: number; words: string; given: NameAgreement } {
  const givenAgrees = nickAgrees(given, b) ? 'short' : compareWords(given, b.given);
  const surnameAgrees = compareWords(surname, b.surname);
  const givenBits =
    givenAgrees === 'differs'
      ? GIVEN_DIFFERS
      : NAME_SHARES[givenAgrees] * clamp(wordWeight(given, b.given, 'g', frequencies), 1.5, 9);
  const surnameBits =
    surnameAgrees === 'differs'
      ? SURNAME_DIFFERS
      : NAME_SHARES[surnameAgrees] * clamp(wordWeight(surname, b.surname, 's', frequencies), 2, 12);
  return {
    bits: (givenAgrees === 'missing' ? 0 : givenBits) + (surnameAgrees === 'missing' ? 0 : surnameBits),
    words: nameWords(givenAgrees, surnameAgrees),
    given: givenAgrees,
  };
}

/** A different given name is rarely one person; a different surname may be a married one. Ours. */
const [GIVEN_DIFFERS, SURNAME_DIFFERS] = [-10, -4];

function nickAgrees(given: readonly string[], { nicknames, given: others }: DuplicateFacts): boolean {
  return given.some((word) => nicknames.includes(word)) && !given.some((word) => others.includes(word));
}

const GIVEN_WORDS: Readonly<Record<NameAgreement, string>> = {
  same: texts.sameGivenName,
  short: texts.shortFormOfGiven,
  initial: texts.givenNameByItsInitial,
  close: texts.givenNameNearlySame,
  part: texts.oneGivenNameSame,
  differs: texts.differentGivenNames,
  missing: '',
};
const SURNAME_WORDS: Readonly<Record<NameAgreement, string>> = {
  same: texts.sameSurname,
  short: texts.surnameNearlySame,
  initial: texts.surnameByItsInitial,
  close: texts.surnameNearlySame,
  part: texts.oneSurnameSame,
  differs: texts.differentSurnames,
  missing: '',
};

function nameWords(given: NameAgreement, surname: NameAgreement): string {
  if (given === 'same' && surname === 'same') return texts.sameName;
  return [GIVEN_WORDS[given], SURNAME_WORDS[surname]].filter(Boolean).join(', ');
}

function generationEvidence(a: DuplicateFacts, b: DuplicateFacts): Evidence[] {
  if (a.generation === b.generation) return [];
  const isSaid = a.generation !== '' && b.generation !== '';
  return [{ kind: 'generation', words: texts.differentGenerationsFatherAndSon, bits: isSaid ? -10 : -6 }];
}

function birthEvidence(a: PartialDate | undefined, b: PartialDate | undefined): Evidence[] {
  if (!a || !b) return [];
  const say = (words: string, bits: number): Evidence[] => [{ kind: 'birthday', words, bits }];
  const hasDays =
    a.month !== undefined && b.month !== undefined && a.day !== undefined && b.day !== undefined;
  const sameYear = a.year !== undefined && a.year === b.year;
  const yearsDiffer = a.year !== undefined && b.year !== undefined && a.year !== b.year;
  if (!hasDays)
    return sameYear ? say(texts.bornInSameYear, 2) : yearsDiffer ? say(texts.bornInDifferentYears, -5) : [];
  const sameDay = a.month === b.month && a.day === b.day;
  if (sameDay && sameYear) return say(texts.sameBirthday, 9);
  if (sameDay) return yearsDiffer ? say(texts.sameDayBornInDifferent, -2) : say(texts.sameBirthday, 6);
  const isSlip =
    sameYear && (a.month === b.month || a.day === b.day || (a.month === b.day && a.day === b.month));
  return isSlip ? say(texts.birthdaysSlipApart, -3) : say(texts.differentBirthdays, -14);
}

function workEvidence(a: DuplicateFacts, b: DuplicateFacts, frequencies: Frequencies): Evidence[] {
  const found: Evidence[] = [];
  const house = rarest(a.employers, b.employers, (one) => frequencies.countOf('o', one));
  if (house !== undefined && house !== '')
    found.push({
      kind: 'work',
      words: texts.sameOrganisation,
      bits: clamp(frequencies.weightOf('o', house, 0.6), 0.5, 5),
    });
  else if (a.employers.length > 0 && b.employers.length > 0)
    found.push({ kind: 'work', words: texts.differentOrganisations, bits: -0.7 });
  if (a.titles.some((title) => title !== '' && b.titles.includes(title)))
    found.push({ kind: 'work', words: texts.samePost, bits: 1 });
  return found;
}
