import { decodeText, errorMessage } from '@/core/base';
import type { Card } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/formats/jcard';

import type { ContentLine } from '../contentLines/contentLine';
import type { Problem, ReadOptions, ReadResult } from '../format/format';
import { readProperties } from '../properties/read/readProperties';
import { uidFromText } from '../properties/uidFromText';
import { fromJcard } from './fromJcard';

/** Reads one jCard or an array of them; what is none is reported with its text. */
export function readJcard(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  const problems: Problem[] = [];
  const value = parseJson(decodeText(bytes).text, problems);
  const items =
    Array.isArray(value) && isMark(value[0]) ? [value] : Array.isArray(value) ? (value as unknown[]) : [];
  const cards = items.flatMap((item, i) => readOne(item, texts.cardOf(i + 1, items.length), problems) ?? []);
  options.onProgress?.(1, cards.length);
  return { cards, problems };
}

function isMark(value: unknown): boolean {
  return typeof value === 'string' && value.toLowerCase() === 'vcard';
}

function readOne(item: unknown, place: string, problems: Problem[]): Card | undefined {
  const [mark, properties] = Array.isArray(item) ? (item as unknown[]) : [];
  if (!isMark(mark) || !Array.isArray(properties)) {
    problems.push({
      code: 'unreadable-card',
      line: 0,
      message: texts.isNoJcard(place),
      text: JSON.stringify(item),
    });
    return undefined;
  }
  const lines: ContentLine[] = [];
  for (const [i, property] of (properties as unknown[]).entries()) {
    const line = fromJcard(property, i + 1);
    if (line) lines.push(line);
    else {
      const message = `${place}: its property ${i + 1} has no name, parameters, type and value`;
      problems.push({ code: 'not-a-property', line: 0, message, text: JSON.stringify(property) });
    }
  }
  const { card, problems: own } = readProperties(lines, () => uidFromText(JSON.stringify(item)));
  problems.push(...own.map((problem) => ({ ...problem, line: 0, message: `${place}: ${problem.message}` })));
  return card;
}

function parseJson(text: string, problems: Problem[]): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    const reason = errorMessage(error);
    problems.push({ code: 'not-this-format', line: 0, message: shared.thisIsNoJson(reason), text });
    return undefined;
  }
}
