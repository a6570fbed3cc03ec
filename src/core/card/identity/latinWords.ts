import anyAscii from 'any-ascii';

import { cached, foldText } from '@/core/base';

/** The number of texts whose words are cached: towns, titles, organisations and first names recur throughout a book. */
const MAX_CACHED = 20_000;

/** Words in Latin letters, folded; other scripts as they are commonly written in Latin ones. */
export const latinWords = cached(MAX_CACHED, readWords);

function readWords(text: string): string[] {
  const folded = foldText(text);
  const latin = /^[\x20-\x7e]*$/.test(folded) ? folded : anyAscii(folded).toLowerCase();
  return latin.replace(/['’`]/g, '').match(/[a-z0-9]+/g) ?? [];
}
