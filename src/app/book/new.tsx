import { NewCardPage } from '@/places/card';

// A route has to be a component by itself: the router loads it lazily, and a lazy component can't give another.
export default function NewCardRoute() {
  return <NewCardPage />;
}
