import { YearPage } from '@/places/today/YearPage';

export default function YearRoute() {
  return <YearPage />;
}
