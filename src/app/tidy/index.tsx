import { TidyPage } from '@/places/tidy';

export default function TidyRoute() {
  return <TidyPage />;
}
