import { Slot } from 'expo-router';

import { ListsPlace } from '@/places/lists';

export default function ListsLayout() {
  return (
    <ListsPlace>
      <Slot />
    </ListsPlace>
  );
}
