import { TidyPage } from '@/places/tidy/TidyPage';

export default function TidyRoute() {
  return <TidyPage />;
}
