import { Slot } from 'expo-router';
import { useEffect } from 'react';

import { BookPlace } from '@/places/book/BookPlace';
import { ChosenBar, preloadCardPages } from '@/places/card/lazy';
import { whenIdle } from '@/platform';

export default function BookLayout() {
  useEffect(() => whenIdle(preloadCardPages), []);
  return (
    <BookPlace ChosenBar={ChosenBar}>
      <Slot />
    </BookPlace>
  );
}
