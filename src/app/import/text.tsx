import { loadCardWork } from '@/places/card';
import { LiftPage } from '@/places/extract';

export default function LiftRoute() {
  return <LiftPage loadShowing={loadCardWork} />;
}
