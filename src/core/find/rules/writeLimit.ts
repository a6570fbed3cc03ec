import { DAY_KINDS, type DayKind, type Field } from './fields';
import { DAY_WORDS, FIELD_WORDS, TALK_WORDS } from './formatRule';
import { isFurther, writeFurther } from './furtherTests';
import type { Test } from './rule';

const CARD_WORDS = { person: 'people', organisation: 'organisations', list: 'lists' } as const;

/**
 * A limit as it is typed, which parseLimits reads as the same limit.
 *
 * @param nameOf - what a list is called
 */
export function writeLimit(test: Test, nameOf: (uid: string) => string | undefined): string {
  const plain = writePlain(test, nameOf);
  if (test.kind === 'filled' && test.not === true) return plain.replace(/^with /, 'without ');
  return test.not === true ? `not ${plain}` : plain;
}

function writePlain(test: Test, nameOf: (uid: string) => string | undefined): string {
  if (isFurther(test)) return writeFurther(test, (day) => firstWord(DAY_WORDS[day]));
  switch (test.kind) {
    case 'words':
      return writeWords(test.field, test.value);
    case 'filled':
      return `with ${filledWord(test.field)}`;
    case 'card':
      return CARD_WORDS[test.card];
    case 'list':
      return `on ${nameOf(test.list) ?? ''}`;
    case 'flag':
      return test.flag;
    case 'near':
      return `within ${test.km} km of ${test.place}`;
    case 'talk':
      return `${TALK_WORDS[test.how]} ${writeWhen(test)}`;
    case 'close':
      return `close from ${test.from}`;
    case 'since':
      return `${test.what} ${writeWhen(test)}`;
    case 'coming':
      return `${firstWord(DAY_WORDS[test.day])} within ${test.from === undefined ? '' : `${test.from} to `}${test.days} days`;
  }
}

function writeWhen({ days, until }: Pick<Extract<Test, { kind: 'talk' }>, 'days' | 'until'>): string {
  const last = until === undefined ? '' : ` until ${until} days ago`;
  return `${days === 'year' ? 'this year' : days === 'ever' ? 'ever' : `within ${days} days`}${last}`;
}

function writeWords(field: Field | 'any', value: string): string {
  if (field === 'any') return value;
  if (field === 'place') return `in ${value}`;
  if (field === 'organisation') return `at ${value}`;
  if (field === 'tag') return `tagged ${value}`;
  return `${firstWord(FIELD_WORDS[field])}: ${value}`;
}

function filledWord(field: Field | DayKind): string {
  const isDay = DAY_KINDS.some((day) => day === field);
  return firstWord(isDay ? DAY_WORDS[field as DayKind] : FIELD_WORDS[field as Field]);
}

/** "wedding day" is understood by its first word. */
function firstWord(words: string): string {
  return words.split(' ')[0] ?? words;
}
