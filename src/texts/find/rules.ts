import { countOf } from '../plural';

const days = (count: number) => countOf(count, { one: 'day', other: 'days' });

/** How a rule is described: what each of its conditions says, plain and turned round. */
export const texts = {
  tooDeep: (deepest: number) => `A rule can hold rules ${deepest} deep`,
  nobody: 'nobody',
  everybody: 'everybody',
  and: ', ',
  or: ' or ',
  none: (conditions: string) => `not: ${conditions}`,
  not: (condition: string) => `not ${condition}`,
  inPlace: (place: string) => `in ${place}`,
  atOrganisation: (organisation: string) => `at ${organisation}`,
  tagged: (tag: string) => `tagged ${tag}`,
  anywhere: (words: string) => `“${words}”`,
  inField: (field: string, words: string) => `${field} “${words}”`,
  notInField: (field: string, words: string) => `${field} not “${words}”`,
  with: (field: string) => `with ${field}`,
  without: (field: string) => `without ${field}`,
  no: (kind: string) => `no ${kind}`,
  only: (kind: string) => `${kind} only`,
  onList: (list: string) => `on ${list}`,
  deletedList: 'a deleted list',
  near: (km: number, place: string) => `within ${km} km of ${place}`,
  thisYear: (talked: string) => `${talked} this year`,
  inTheLast: (what: string, count: number) => `${what} in the last ${days(count)}`,
  closeFrom: (least: number) => `close from ${least}`,
  comingWithin: (day: string, count: number) => `${day} within ${days(count)}`,
  notComingWithin: (day: string, count: number) => `no ${day} within ${days(count)}`,
};
