import type { DayKind, Field, TalkWay } from './fields';
import { isGroup, type Rule, type Test } from './rule';

/** Our words for the fields. */
export const FIELD_WORDS: Readonly<Record<Field | 'any', string>> = {
  any: 'anything',
  name: 'name',
  nickname: 'nickname',
  number: 'number',
  organisation: 'organisation',
  mail: 'mail',
  place: 'place',
  title: 'post',
  tag: 'tag',
  list: 'list',
  account: 'account',
  street: 'street',
  web: 'web address',
  interest: 'interest',
  own: 'custom field',
  relation: 'related card',
  note: 'note',
  talk: 'talk',
};

/** Our words for days that come round. */
export const DAY_WORDS: Readonly<Record<DayKind, string>> = {
  birth: 'birthday',
  wedding: 'wedding day',
  death: 'day of death',
};

/** Our words for the ways of talking. */
export const TALK_WORDS: Readonly<Record<TalkWay, string>> = {
  any: 'talked to',
  met: 'met',
  called: 'called',
  written: 'written to',
};

const CARD_WORDS = { person: 'people', organisation: 'organisations', list: 'lists' } as const;

/** A rule in words: "in Sète, without mail". @param nameOf - what a list is called */
export function formatRule(rule: Rule, nameOf: (uid: string) => string | undefined): string {
  if (!isGroup(rule)) return formatTest(rule, nameOf);
  const parts = rule.rules.map((one) => {
    const text = formatRule(one, nameOf);
    return isGroup(one) && one.rules.length > 1 ? `(${text})` : text;
  });
  if (parts.length === 0) return rule.kind === 'any' ? 'nobody' : 'everybody';
  if (rule.kind === 'none') return `not: ${parts.join(' or ')}`;
  return parts.join(rule.kind === 'all' ? ', ' : ' or ');
}

function formatTest(test: Test, nameOf: (uid: string) => string | undefined): string {
  const isNot = test.not === true;
  switch (test.kind) {
    case 'words':
      return formatWords(test.field, test.value, isNot);
    case 'filled': {
      const word =
        test.field in DAY_WORDS ? DAY_WORDS[test.field as DayKind] : FIELD_WORDS[test.field as Field];
      return `${isNot ? 'without' : 'with'} ${word}`;
    }
    case 'card':
      return isNot ? `no ${CARD_WORDS[test.card]}` : `${CARD_WORDS[test.card]} only`;
    case 'list':
      return `${isNot ? 'not on' : 'on'} ${nameOf(test.list) ?? 'a deleted list'}`;
    case 'flag':
      return isNot ? `not ${test.flag}` : test.flag;
    case 'near':
      return `${isNot ? 'not ' : ''}within ${test.km} km of ${test.place}`;
    case 'talk':
      return `${isNot ? 'not ' : ''}${TALK_WORDS[test.how]} ${test.days === 'year' ? 'this year' : `in the last ${daysOf(test.days)}`}`;
    case 'close':
      return `${isNot ? 'not ' : ''}close from ${test.from}`;
    case 'since':
      return `${isNot ? 'not ' : ''}${test.what} in the last ${daysOf(test.days)}`;
    case 'coming':
      return `${isNot ? 'no ' : ''}${DAY_WORDS[test.day]} within ${daysOf(test.days)}`;
  }
}

function formatWords(field: Field | 'any', value: string, isNot: boolean): string {
  const before = isNot ? 'not ' : '';
  if (field === 'place') return `${before}in ${value}`;
  if (field === 'organisation') return `${before}at ${value}`;
  if (field === 'tag') return `${before}tagged ${value}`;
  if (field === 'any') return `${before}“${value}”`;
  return `${FIELD_WORDS[field]} ${before}“${value}”`;
}

function daysOf(days: number): string {
  return days === 1 ? '1 day' : `${days} days`;
}
