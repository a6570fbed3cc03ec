import { loadCardWork } from '@/places/card/lazy';
import { LiftPage } from '@/places/lift/LiftPage';

export default function LiftRoute() {
  return <LiftPage loadShowing={loadCardWork} />;
}
