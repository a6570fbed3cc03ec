import { decodeUtf8, errorMessage } from '@/core/base';
import { type Card, parseCard } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/formats/jscontact';

import type { Problem, ReadOptions, ReadResult } from '../format/format';
import { fromOthers } from './forOthers';

/** Reads a JSON array of cards, or one card alone; what is no card is reported with its text. */
export function readJscontact(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  const cards: Card[] = [];
  const problems: Problem[] = [];
  const value = parseJson(decodeUtf8(bytes) ?? '', problems);
  const items = Array.isArray(value) ? value : value === undefined ? [] : [value];
  for (const [i, item] of items.entries()) {
    const parsed = parseCard(item);
    if (parsed.kind === 'card') cards.push(fromOthers(parsed.card));
    else {
      const message = texts.cardOf(i + 1, items.length, parsed.message);
      problems.push({ code: 'unreadable-card', line: 0, message, text: JSON.stringify(item) });
    }
  }
  options.onProgress?.(1, cards.length);
  return { cards, problems };
}

function parseJson(text: string, problems: Problem[]): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    const reason = errorMessage(error);
    problems.push({ code: 'not-this-format', line: 0, message: shared.thisIsNoJson(reason) });
    return undefined;
  }
}
