import { loadCardWork } from '@/places/card';
import { CardFromTextPage } from '@/places/extract';

export default function TextRoute() {
  return <CardFromTextPage loadShowing={loadCardWork} />;
}
