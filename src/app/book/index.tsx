import { CardPane } from '@/places/card';
import { NoCardOpen } from '@/places/find';

// A route has to be a component by itself: the router loads it lazily, and a lazy component can't give another.
export default function BookRoute() {
  return <NoCardOpen CardPane={CardPane} />;
}
