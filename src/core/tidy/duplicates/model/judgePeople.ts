import { texts } from '@/texts/tidy/duplicates';

import type { NameComparison, WordMatch } from '../compare/nameComparison';
import type { DuplicateFacts } from '../facts/facts';
import { comparePair, type PairComparison } from './comparePair';
import type { Evidence } from './evidence';
import type { Judgement } from './judgement';
import { chancesOf, type Logs, type Model, type Part, PARTS } from './model';

/** Weighs two people's cards. */
export function judgePeople(a: DuplicateFacts, b: DuplicateFacts, model: Model): Judgement {
  const comparison = comparePair(a, b, model.vocabulary);
  return comparison ? judgeComparison(comparison, model) : HOPELESS;
}

const HOPELESS: Judgement = { probability: 0, evidence: [] };

/** Weighs a comparison. */
export function judgeComparison(comparison: PairComparison, model: Model): Judgement {
  const chances = chancesOf(model.sum(comparison));
  return { probability: chances[0], comparison, chances };
}

const IS_AGAINST: Readonly<Record<Part, (comparison: PairComparison) => boolean>> = {
  name: ({ name }) => name.matches.length === 0,
  mail: ({ mail }) => mail.level === 'differ',
  phone: ({ phone }) => phone.level === 'differ',
  reach: ({ reach }) => sharesNothing(reach),
  birth: ({ birth }) => ['slip', 'near', 'otherYear', 'differ', 'years'].includes(birth),
  place: ({ place }) => place.level === 'differ',
  work: ({ work }) => work.level === 'differ',
  title: ({ title }) => title === 'differ',
  generation: ({ generation }) => generation !== 'same',
};

const KINDS: Readonly<Record<Part, Evidence['kind']>> = {
  ...{ name: 'name', mail: 'mail', phone: 'number', reach: 'mail', birth: 'birthday' },
  ...{ place: 'address', work: 'work', title: 'work', generation: 'generation' },
};

/** What speaks for and against, in words; the weightiest first. The bits are against what else the two would be to each other. */
export function evidenceOf(comparison: PairComparison, chances: Logs, model: Model): Evidence[] {
  const rest = chances[1] + chances[2] + chances[3] || 1;
  return PARTS.flatMap((part): Evidence[] => {
    const words = WORDS[part](comparison);
    if (words === '') return [];
    const [match, ...others] = model.logsOf(part, comparison);
    const against = others.reduce((sum, log, i) => sum + (log * (chances[i + 1] ?? 0)) / rest, 0);
    // Against people of one household even other towns may speak for one person; nobody would read it so.
    const bits = IS_AGAINST[part](comparison) ? Math.min(0, match - against) : match - against;
    return Math.abs(bits) < 0.1 ? [] : [{ kind: KINDS[part], words, bits }];
  }).sort((one, other) => Math.abs(other.bits) - Math.abs(one.bits));
}

const BIRTHS: Readonly<Record<PairComparison['birth'], string>> = {
  ...{ missing: '', same: texts.sameBirthday, day: texts.sameBirthday, slip: texts.birthdaysSlipApart },
  ...{
    near: texts.birthdaysSlipApart,
    otherYear: texts.sameDayBornInDifferent,
    differ: texts.differentBirthdays,
  },
  ...{ year: texts.bornInSameYear, years: texts.bornInDifferentYears },
};
const PLACES: Readonly<Record<PairComparison['place']['level'], string>> = {
  ...{ missing: '', street: texts.sameAddress, town: texts.sameTown, differ: texts.differentTowns },
};
const GENERATIONS: Readonly<Record<PairComparison['generation'], string>> = {
  ...{ missing: '', same: '' },
  ...{ oneSaid: texts.differentGenerationsFatherAndSon, differ: texts.differentGenerationsFatherAndSon },
};

const WORDS: Readonly<Record<Part, (comparison: PairComparison) => string>> = {
  name: ({ name }) => nameWords(name),
  mail: ({ mail: { level, value } }) => {
    if (level === 'missing') return '';
    if (level === 'differ') return texts.differentMailAddresses;
    return level === 'alike' ? texts.mailNearlySame(value) : texts.sameMailAddress(value);
  },
  phone: ({ phone: { level, value } }) => {
    if (level === 'missing') return '';
    if (level === 'differ') return texts.differentNumbers;
    return level === 'slip'
      ? texts.numberNearlySame(plainNumber(value))
      : texts.sameNumber(plainNumber(value));
  },
  reach: ({ reach }) => (sharesNothing(reach) ? texts.nothingShared : ''),
  birth: ({ birth }) => BIRTHS[birth],
  place: ({ place }) => PLACES[place.level],
  work: ({ work }) =>
    ({ missing: '', same: texts.sameOrganisation, differ: texts.differentOrganisations })[work.level],
  title: ({ title }) => (title === 'same' ? texts.samePost : ''),
  generation: ({ generation }) => GENERATIONS[generation],
};

const sharesNothing = (reach: PairComparison['reach']) => reach !== 'missing' && reach !== 'some';
const plainNumber = (number: string) => number.replace('~', '');

const GIVEN: Readonly<Record<WordMatch['level'], string>> = {
  ...{ same: texts.sameGivenName, short: texts.shortFormOfGiven },
  ...{ initial: texts.givenNameByItsInitial, close: texts.givenNameNearlySame },
};
const SURNAME: Readonly<Record<WordMatch['level'], string>> = {
  ...{ same: texts.sameSurname, short: texts.surnameNearlySame },
  ...{ initial: texts.surnameByItsInitial, close: texts.surnameNearlySame },
};

function nameWords({ matches, conflict }: NameComparison): string {
  if (conflict === 'missing' || conflict === 'scripts') return '';
  const given = matches.filter(({ isGiven }) => isGiven);
  const surnames = matches.filter(({ isGiven }) => !isGiven);
  const isSame = matches.length > 1 && matches.every(({ level }) => level === 'same');
  if (isSame && (conflict === 'none' || conflict === 'extra')) return texts.sameName;
  const against = {
    ...{ none: '', extra: '', other: texts.differentNames, otherGiven: texts.differentGivenNames },
    ...{ otherSecondGiven: texts.differentGivenNames, likeGiven: texts.givenNamesAlike },
    ...{ otherSurname: texts.differentSurnames, otherSecondSurname: texts.differentSurnames },
  }[conflict];
  return [
    ...(given[0] ? [GIVEN[worst(given)]] : []),
    ...(surnames[0] ? [SURNAME[worst(surnames)]] : []),
    ...(against === '' ? [] : [against]),
  ].join(', ');
}

/** The level that says least. */
function worst(matches: readonly WordMatch[]): WordMatch['level'] {
  return (
    (['initial', 'close', 'short'] as const).find((level) => matches.some((one) => one.level === level)) ??
    'same'
  );
}
