import { useLocalSearchParams } from 'expo-router';

import { CardPane } from '@/places/card';
import { ListPage } from '@/places/lists';
import { uidFromPath } from '@/platform';

export default function ListRoute() {
  const { list } = useLocalSearchParams<{ list: string }>();
  return <ListPage key={list} uid={uidFromPath(list)} CardPane={CardPane} />;
}
