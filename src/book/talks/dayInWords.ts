import type { TodayPlan } from '@/core/talks';
import { texts } from '@/texts/talks/talks';

/** What a day asks for, in a few words: "1 to greet, 2 meetings, 3 late"; '' where that is nothing. */
export function dayInWords({ greetings, meetings, followUps, due, late }: TodayPlan): string {
  const counts = [
    [greetings.length, texts.greetToday],
    [meetings.length, texts.meetingsToday],
    [followUps.length, texts.followUpToday],
    [due.length, texts.dueCount],
    [late.length, texts.lateToday],
  ] as const;
  return counts.flatMap(([count, say]) => (count === 0 ? [] : say(count))).join(', ');
}
