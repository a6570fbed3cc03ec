import { foldText } from '@/core/base';

/** Names without marks, hyphens and dots; "Saint" and "St" are the same, and 市 says only that it is a city. */
export function placeKey(name: string): string {
  return foldText(name)
    .replace(/[-'’.]/g, ' ')
    .replace(/\b(saint|sankt|sint|san)\b/g, 'st')
    .replace(/(?<=.)[市縣县]$/u, '')
    .replace(/\s+/g, ' ')
    .trim();
}
