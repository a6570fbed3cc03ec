import type { Uid } from '@/core/card';
import type { TodayPlan } from '@/core/talks';
import { texts } from '@/texts/talks/talks';

/** The day in a sentence or two. @param nameOf - the name that a card is shown by */
export function sentenceOf(plan: TodayPlan, nameOf: (uid: Uid) => string | undefined): string {
  const { greetings, meetings, followUps, due, late, quiet, coming } = plan;
  const parts = [
    greetings.length === 0 ? '' : texts.peopleToGreet(greetings.length),
    meetings.length === 0 ? '' : texts.meetingCount(meetings.length),
    followUps.length === 0 ? '' : texts.thingsToFollowUp(followUps.length),
    due.length === 0 ? '' : texts.talksDue(due.length),
    late.length === 0 ? '' : texts.lateCount(late.length),
  ].filter(Boolean);
  if (parts.length > 0) {
    const [longest] = late.toSorted((a, b) => (a.day < b.day ? -1 : Number(a.day > b.day)));
    const name = longest && nameOf(longest.uid);
    const whole = `${parts.join(', ')}.`;
    const first = whole.charAt(0).toLocaleUpperCase() + whole.slice(1);
    return late.length > 1 && name ? `${first} ${texts.hasWaitedLongest(name)}` : first;
  }
  if (quiet.length > 0) return texts.nothingHasToBeDone;
  const [next] = coming;
  if (next) return texts.freeDayNextBirthday(next.daysAway);
  return texts.freeDay;
}
