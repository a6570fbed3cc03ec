import { Slot } from 'expo-router';

import { ListsPlace } from '@/places/lists/ListsPlace';

export default function ListsLayout() {
  return (
    <ListsPlace>
      <Slot />
    </ListsPlace>
  );
}
