import { Slot } from 'expo-router';

import { DevicesPlace } from '@/places/devices/DevicesPlace';

export default function DevicesLayout() {
  return (
    <DevicesPlace>
      <Slot />
    </DevicesPlace>
  );
}
