import { loadCardWork } from '@/places/card';
import { TidyPage } from '@/places/tidy';

export default function TidyRoute() {
  return <TidyPage loadShowing={loadCardWork} />;
}
