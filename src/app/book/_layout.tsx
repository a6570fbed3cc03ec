import { Slot } from 'expo-router';

import { BookPlace } from '@/places/book/BookPlace';

export default function BookLayout() {
  return (
    <BookPlace>
      <Slot />
    </BookPlace>
  );
}
