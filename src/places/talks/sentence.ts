import type { TodayPlan } from '@/core/talks';
import { texts } from '@/texts/talks/talks';

/** The day in one sentence. */
export function sentenceOf(plan: TodayPlan): string {
  const { greetings, meetings, followUps, due, late, quiet, coming } = plan;
  const parts = [
    greetings.length === 0 ? '' : texts.peopleToGreet(greetings.length),
    meetings.length === 0 ? '' : texts.meetingCount(meetings.length),
    followUps.length === 0 ? '' : texts.thingsToFollowUp(followUps.length),
    due.length === 0 ? '' : texts.talksDue(due.length),
    late.length === 0 ? '' : texts.lateCount(late.length),
  ].filter(Boolean);
  if (parts.length > 0) return `${parts.join(', ')}.`;
  if (quiet.length > 0) return texts.nothingHasToBeDone;
  const [next] = coming;
  if (next) return texts.freeDayNextBirthday(next.daysAway);
  return texts.freeDay;
}
