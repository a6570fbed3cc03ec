import { useLocalSearchParams } from 'expo-router';

import { PassportPage } from '@/places/sync';

export default function DeviceRoute() {
  const { device } = useLocalSearchParams<{ device: string }>();
  return <PassportPage key={device} name={device} />;
}
