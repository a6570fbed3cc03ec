import { Slot } from 'expo-router';

import { DevicesPlace } from '@/places/sync';

export default function DevicesLayout() {
  return (
    <DevicesPlace>
      <Slot />
    </DevicesPlace>
  );
}
