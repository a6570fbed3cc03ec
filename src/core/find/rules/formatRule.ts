import { texts } from '@/texts/find/rules';

import type { DayKind, Field, TalkWay } from './fields';
import { formatFurther, isFurther } from './furtherTests';
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
  if (parts.length === 0) return rule.kind === 'any' ? texts.nobody : texts.everybody;
  if (rule.kind === 'none') return texts.none(parts.join(texts.or));
  return parts.join(rule.kind === 'all' ? texts.and : texts.or);
}

function formatTest(test: Test, nameOf: (uid: string) => string | undefined): string {
  const isNot = test.not === true;
  const turned = (text: string) => (isNot ? texts.not(text) : text);
  if (isFurther(test)) return turned(formatFurther(test, (day) => DAY_WORDS[day]));
  switch (test.kind) {
    case 'words':
      return formatWords(test.field, test.value, isNot);
    case 'filled': {
      const word =
        test.field in DAY_WORDS ? DAY_WORDS[test.field as DayKind] : FIELD_WORDS[test.field as Field];
      return isNot ? texts.without(word) : texts.with(word);
    }
    case 'card':
      return isNot ? texts.no(CARD_WORDS[test.card]) : texts.only(CARD_WORDS[test.card]);
    case 'list':
      return turned(texts.onList(nameOf(test.list) ?? texts.deletedList));
    case 'flag':
      return turned(test.flag);
    case 'near':
      return turned(texts.near(test.km, test.place));
    case 'talk': {
      const talked = TALK_WORDS[test.how];
      return turned(formatTalk(talked, test));
    }
    case 'close':
      return turned(texts.closeFrom(test.from));
    case 'since':
      return turned(
        test.until === undefined
          ? texts.inTheLast(test.what, test.days)
          : texts.between(test.what, test.until, test.days),
      );
    case 'coming': {
      const day = DAY_WORDS[test.day];
      if (test.from !== undefined) return turned(texts.comingBetween(day, test.from, test.days));
      return isNot ? texts.notComingWithin(day, test.days) : texts.comingWithin(day, test.days);
    }
  }
}

function formatTalk(talked: string, { days, until }: Extract<Test, { kind: 'talk' }>): string {
  if (days === 'ever') return texts.ever(talked);
  if (days === 'year') return texts.thisYear(talked);
  return until === undefined ? texts.inTheLast(talked, days) : texts.between(talked, until, days);
}

function formatWords(field: Field | 'any', value: string, isNot: boolean): string {
  const turned = (text: string) => (isNot ? texts.not(text) : text);
  if (field === 'place') return turned(texts.inPlace(value));
  if (field === 'organisation') return turned(texts.atOrganisation(value));
  if (field === 'tag') return turned(texts.tagged(value));
  if (field === 'any') return turned(texts.anywhere(value));
  return (isNot ? texts.notInField : texts.inField)(FIELD_WORDS[field], value);
}
