import { TalkImportPage } from '@/places/intake/TalkImportPage';
import { OwnAddresses } from '@/places/settings/OwnAddresses';

export default function TalkImportRoute() {
  return <TalkImportPage OwnAddresses={OwnAddresses} />;
}
