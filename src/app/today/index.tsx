import { FollowUpActs, MeetingActs, PersonActs } from '@/places/card';
import { TodayPage } from '@/places/talks';

// A route has to be a component by itself: the router loads it lazily, and a lazy component can't give another.
export default function TodayRoute() {
  return <TodayPage PersonActs={PersonActs} FollowUpActs={FollowUpActs} MeetingActs={MeetingActs} />;
}
