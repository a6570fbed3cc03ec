import { TalkImportPage } from '@/places/formats';
import { OwnAddresses } from '@/places/settings';

export default function TalkImportRoute() {
  return <TalkImportPage OwnAddresses={OwnAddresses} />;
}
