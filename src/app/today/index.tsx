import {
  CardPane,
  FollowUpActs,
  FollowUpLikely,
  LikelyAct,
  MeetingActs,
  MeetingLikely,
  PersonOpened,
} from '@/places/card';
import { NextSteps } from '@/places/settings';
import { TodayPage } from '@/places/talks';

const ACTS = { CardPane, FollowUpActs, FollowUpLikely, LikelyAct, MeetingActs, MeetingLikely, PersonOpened };

// A route has to be a component by itself: the router loads it lazily, and a lazy component can't give another.
export default function TodayRoute() {
  return <TodayPage {...ACTS} NextSteps={NextSteps} />;
}
