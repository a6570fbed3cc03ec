import { Slot } from 'expo-router';
import { useEffect } from 'react';

import { BookPlace } from '@/places/book/BookPlace';
import { preloadCardPages } from '@/places/card/lazy';
import { whenIdle } from '@/platform';

export default function BookLayout() {
  useEffect(() => whenIdle(preloadCardPages), []);
  return (
    <BookPlace>
      <Slot />
    </BookPlace>
  );
}
