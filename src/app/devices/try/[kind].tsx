import { useLocalSearchParams } from 'expo-router';

import { StandInPage } from '@/places/sync';

export default function StandInRoute() {
  const { kind } = useLocalSearchParams<{ kind: string }>();
  return <StandInPage key={kind} kind={kind} />;
}
