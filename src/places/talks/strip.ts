import { addDays } from '@/core/base';
import type { TodayPlan } from '@/core/talks';
import { texts } from '@/texts/talks/talks';

import { dayWords } from './dayWords';

/** How an entry is drawn: a birthday as a dot, another day as a ring, what is to be done as a stroke. */
export type StripMark = 'dot' | 'ring' | 'stroke';

/** One thing that a day brings. */
export interface StripEntry {
  readonly key: string;
  readonly uid: string;
  readonly mark: StripMark;
  readonly words: string;
}

/** What a day of the strip brings. */
export interface StripDay {
  readonly day: string;
  readonly entries: readonly StripEntry[];
}

/** The days after today, each with what it brings. */
export function stripOf(plan: TodayPlan, today: string, count: number): StripDay[] {
  const byDay = new Map<string, StripEntry[]>();
  const put = (day: string, entry: StripEntry) => {
    const entries = byDay.get(day);
    if (entries) entries.push(entry);
    else byDay.set(day, [entry]);
  };
  for (const { uid, kind, date, years } of plan.coming)
    put(date, {
      ...{ key: `${uid} ${kind}`, uid, words: dayWords(kind, years) },
      mark: kind === 'birth' ? 'dot' : 'ring',
    });
  for (const { id, uids, meeting } of plan.comingMeetings)
    for (const uid of uids)
      put(meeting.day, {
        ...{ key: `${uid} ${id}`, uid, mark: 'stroke' },
        words: [meeting.title, meeting.time].filter(Boolean).join(', '),
      });
  for (const { uid, id, day, text } of plan.comingFollowUps)
    put(day, { key: `${uid} ${id}`, uid, mark: 'stroke', words: text });
  for (const { uid, day } of plan.comingDue)
    put(day, { key: `${uid} due`, uid, mark: 'stroke', words: texts.talkDue });
  return Array.from({ length: count }, (_, i) => {
    const day = addDays(today, i + 1);
    return { day, entries: byDay.get(day) ?? [] };
  });
}
