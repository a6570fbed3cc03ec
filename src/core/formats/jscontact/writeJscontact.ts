import type { Card } from '../../card';
import type { WriteOptions } from '../format';

/** Writes cards as a JSON array, a card a line, so that files can be compared line by line. */
export function writeJscontact(cards: readonly Card[], options: WriteOptions = {}): string {
  const text = `[\n${cards.map((card) => JSON.stringify(card)).join(',\n')}\n]\n`;
  options.onProgress?.(1, cards.length);
  return text;
}
