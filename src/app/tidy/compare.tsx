import { loadCardWork } from '@/places/card';
import { ComparePage } from '@/places/tidy';

export default function CompareRoute() {
  return <ComparePage loadShowing={loadCardWork} />;
}
