import type { TodayPlan } from '@/core/talks';
import { formatCount } from '@/platform';

/** The day in one sentence. */
export function sentenceOf(plan: TodayPlan): string {
  const { greetings, meetings, followUps, due, late, quiet, coming } = plan;
  const parts = [
    greetings.length === 0 ? '' : `${formatCount(greetings.length, 'person', 'people')} to greet`,
    meetings.length === 0 ? '' : formatCount(meetings.length, 'meeting', 'meetings'),
    followUps.length === 0 ? '' : `${formatCount(followUps.length, 'thing', 'things')} to follow up`,
    due.length === 0 ? '' : `${formatCount(due.length, 'talk', 'talks')} due`,
    late.length === 0 ? '' : `${late.length} late`,
  ].filter(Boolean);
  if (parts.length > 0) return `${parts.join(', ')}.`;
  if (quiet.length > 0) return 'Nothing has to be done today; somebody might like to hear from you.';
  const [next] = coming;
  if (next)
    return `A free day. The next birthday or anniversary is in ${formatCount(next.daysAway, 'day', 'days')}.`;
  return 'A free day.';
}
