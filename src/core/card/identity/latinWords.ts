import anyAscii from 'any-ascii';

import { foldText } from '@/core/base';

/** The number of texts whose words are cached: towns, titles, organisations and first names recur throughout a book. */
const MAX_CACHED = 20_000;
const cache = new Map<string, string[]>();

/** Words in Latin letters, folded; other scripts as they are commonly written in Latin ones. */
export function latinWords(text: string): string[] {
  const known = cache.get(text);
  if (known) return known;
  const words = readWords(text);
  if (cache.size >= MAX_CACHED) cache.clear();
  cache.set(text, words);
  return words;
}

function readWords(text: string): string[] {
  const folded = foldText(text);
  const latin = /^[\x20-\x7e]*$/.test(folded) ? folded : anyAscii(folded).toLowerCase();
  return latin.replace(/['’`]/g, '').match(/[a-z0-9]+/g) ?? [];
}
