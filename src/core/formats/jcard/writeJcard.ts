import type { Card } from '@/core/card';

import type { ContentLine } from '../contentLines/contentLine';
import type { WriteOptions } from '../format/format';
import { VERSION_4 } from '../properties/version';
import { writeProperties } from '../properties/write/writeProperties';
import { fromJcard } from './fromJcard';
import { toJcard } from './toJcard';

/** Writes cards as a JSON array of jCards, a card a line, so that files can be compared line by line. */
export function writeJcard(cards: readonly Card[], options: WriteOptions = {}): string {
  const lines = cards.map((card) => {
    const properties = writeProperties(card, VERSION_4, options.extensions ?? true, throughJcard);
    return JSON.stringify(['vcard', properties.map(toJcard)]);
  });
  options.onProgress?.(1, cards.length);
  return `[\n${lines.join(',\n')}\n]\n`;
}

/** Properties as a reader of the file will see them. */
function throughJcard(lines: readonly ContentLine[]): ContentLine[] {
  return lines.flatMap((line, i) => fromJcard(toJcard(line), i + 1) ?? []);
}
