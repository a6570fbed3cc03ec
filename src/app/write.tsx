import { useLocalSearchParams } from 'expo-router';

import { loadCardWork } from '@/places/card/lazy';
import { LettersPage } from '@/places/write/letters/LettersPage';
import { WritePage } from '@/places/write/WritePage';

/** Letters share what Write knows; an address of their own would put all of that into the first page. */
export default function Write() {
  const { by } = useLocalSearchParams<{ by?: string }>();
  return by === 'letter' ? <LettersPage loadWords={loadCardWork} /> : <WritePage loadWords={loadCardWork} />;
}
