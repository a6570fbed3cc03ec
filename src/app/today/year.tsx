import { YearPage } from '@/places/talks';

export default function YearRoute() {
  return <YearPage />;
}
