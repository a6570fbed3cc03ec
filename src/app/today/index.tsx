import { FollowUpActs, MeetingActs, PersonActs } from '@/places/card/lazy';
import { TodayPage } from '@/places/today/TodayPage';

// A route has to be a component by itself: the router loads it lazily, and a lazy component can't give another.
export default function TodayRoute() {
  return <TodayPage PersonActs={PersonActs} FollowUpActs={FollowUpActs} MeetingActs={MeetingActs} />;
}
