import { emptyPlan, type TodayPlan } from '@/core/talks';

import { sentenceOf } from './sentence';

const empty = emptyPlan;
const day = (uid: string, daysAway: number) => ({
  uid,
  kind: 'birth',
  id: 'd1',
  date: '2026-12-01',
  years: null,
  daysAway,
});
const due = (uid: string) => ({ uid, day: '2026-11-25', by: 'hand' as const });

const cases: { name: string; plan: TodayPlan; sentence: string }[] = [
  { name: 'nothing at all', plan: empty, sentence: 'A free day.' },
  {
    name: 'only something to come',
    plan: { ...empty, coming: [day('a', 3)] },
    sentence: 'A free day. The next birthday or anniversary is in 3 days.',
  },
  {
    name: 'only somebody who is quiet',
    plan: { ...empty, quiet: [{ uid: 'a', days: 90, usual: 7 }] },
    sentence: 'Nothing has to be done today; somebody might like to hear from you.',
  },
  {
    name: 'a full day',
    plan: { ...empty, greetings: [day('a', 0)], due: [due('b'), due('c')], late: [due('d')] },
    sentence: 'One person to greet, two talks due, one late.',
  },
  {
    name: 'several who are late',
    plan: {
      ...empty,
      late: [
        { ...due('e'), day: '2026-11-20' },
        { ...due('d'), day: '2025-11-20' },
      ],
    },
    sentence: 'Two late. Kit Lowther has waited longest.',
  },
];
for (const { name, plan, sentence } of cases)
  test(`the day in one sentence: ${name}`, () =>
    expect(sentenceOf(plan, (uid) => ({ d: 'Kit Lowther', e: 'Ada' })[uid])).toBe(sentence));
