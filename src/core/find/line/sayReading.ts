import { isGroup, type Rule, type Test } from '../rules/rule';
import type { Reading } from './reading';

/**
 * A reading as one line that can be compared: need, act, of whom, values, limits. Lists and people stand with their names.
 *
 * @param nameOf - what a card is called
 */
export function sayReading(reading: Reading, nameOf: (uid: string) => string): string {
  const { need, act, uids, values, rule, order, place } = reading;
  const who = uids.map(nameOf).join(', ');
  const said = values.map(({ field, value }) => {
    const shown = /^-?list$|^to$/.test(field) && nameOf(value) !== value ? nameOf(value) : value;
    return shown === '' ? field : `${field}=${shown}`;
  });
  const limits = rule ? limitsOf(rule, nameOf) : [];
  return [need, act ?? '', place ?? '', who, ...said, ...limits, order === undefined ? '' : `order=${order}`]
    .filter(Boolean)
    .join(' ');
}

/** The limits of a rule, each as a short text. */
export function limitsOf(rule: Rule, nameOf: (uid: string) => string): string[] {
  if (isGroup(rule) && rule.kind === 'any')
    return [`any(${rule.rules.flatMap((one) => limitsOf(one, nameOf)).join(' | ')})`];
  if (isGroup(rule)) return rule.rules.flatMap((one) => limitsOf(one, nameOf));
  return [`${rule.not === true ? '-' : ''}${limitOf(rule, nameOf)}`];
}

const span = (from: number | undefined, to: number | undefined) => `${from ?? ''}-${to ?? ''}`;

function limitOf(test: Test, nameOf: (uid: string) => string): string {
  switch (test.kind) {
    case 'words':
      return `${test.field === 'any' ? 'words' : test.field === 'title' ? 'role' : test.field}=${test.value}`;
    case 'filled':
      return `has=${test.field === 'birth' ? 'birthday' : test.field}`;
    case 'card':
      return `kind=${test.card}`;
    case 'list':
      return `list=${nameOf(test.list)}`;
    case 'flag':
      return `flag=${test.flag}`;
    case 'near':
      return `near=${test.place} ${test.km}`;
    case 'talk':
      return `talk=${test.how} ${test.days}${test.until === undefined ? '' : `-${test.until}`}`;
    case 'close':
      return `close=${test.from}`;
    case 'since':
      return `${test.what}=${test.days}${test.until === undefined ? '' : `-${test.until}`}`;
    case 'coming':
      return `coming=${test.day === 'birth' ? 'birthday' : test.day} ${test.from ?? 0}-${test.days}`;
    case 'month':
      return `${test.day === 'birth' ? 'birthday' : test.day}=month ${test.month}`;
    case 'born':
      return test.from === undefined ? `born=-${test.to ?? ''}` : `born=${span(test.from, test.to)}`;
    case 'age':
      return `age=${span(test.from, test.to)}`;
    case 'turning':
      return `turning=${test.age}`;
    case 'due':
      return test.days < 0 ? 'late' : `due=${test.days}`;
  }
}
