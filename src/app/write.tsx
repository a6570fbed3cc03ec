import { useLocalSearchParams } from 'expo-router';

import { loadCardWork } from '@/places/card';
import { LettersPage, WritePage } from '@/places/write';

/** Letters share what Write knows; an address of their own would put all of that into the first page. */
export default function Write() {
  const { by } = useLocalSearchParams<{ by?: string }>();
  return by === 'letter' ? <LettersPage loadWords={loadCardWork} /> : <WritePage loadWords={loadCardWork} />;
}
