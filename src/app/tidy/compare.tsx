import { loadCardWork } from '@/places/card/lazy';
import { ComparePage } from '@/places/tidy/ComparePage';

export default function CompareRoute() {
  return <ComparePage loadShowing={loadCardWork} />;
}
