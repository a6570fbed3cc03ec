import { loadCardWork } from '@/places/card';
import { CardFromTextPage } from '@/places/extract';

export default function LiftRoute() {
  return <CardFromTextPage loadShowing={loadCardWork} />;
}
