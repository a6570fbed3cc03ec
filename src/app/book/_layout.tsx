import { Slot } from 'expo-router';
import { useEffect } from 'react';

import { ChosenBar, preloadCardPages } from '@/places/card';
import { BookPlace } from '@/places/find';
import { whenIdle } from '@/platform';

export default function BookLayout() {
  useEffect(() => whenIdle(preloadCardPages), []);
  return (
    <BookPlace ChosenBar={ChosenBar}>
      <Slot />
    </BookPlace>
  );
}
