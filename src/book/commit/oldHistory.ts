import type { CardChange, Step, TalkChange } from '@/book/history';
import { parsePiece, parseStep } from '@/book/history';
import type { AppThunk } from '@/book/state';
import { KEYS, parseJson } from '@/book/store';
import { inBatches, isObject } from '@/core/base';

import { filesOf, pieceKey } from './noteStep';

/** Cards or talks in a piece. */
const PIECE = 200;

/**
 * Steps that were kept whole, before they had pieces, become steps with pieces. What can't be read is set aside.
 *
 * @param keys - of their records
 * @returns what was set aside
 */
export function convertOldHistory(keys: readonly string[]): AppThunk<Promise<string[]>> {
  return async (_, __, { storage, ifAlone, yieldToPage }) => {
    const aside: string[] = [];
    await ifAlone('old-history', async () => {
      for (const key of keys) {
        const text = await storage.getItem(key);
        if (text === null) continue;
        const records = recordsOf(parseJson(text));
        if (!records) aside.push(key);
        // First what it becomes, then it goes: killed in between it is converted again, to the same.
        await storage.setMany(records ?? { [`${KEYS.aside}${key}`]: text });
        await storage.removeMany([key]);
        await yieldToPage();
      }
    });
    return aside;
  };
}

function recordsOf(value: unknown): Record<string, string> | undefined {
  if (!isObject(value) || !parsePiece(value)) return undefined;
  const { cards, talks = [], ...rest } = value as { cards: CardChange[]; talks?: TalkChange[] };
  const pieces = [
    ...[...inBatches(cards, PIECE)].map((some) => ({ cards: some })),
    ...[...inBatches(talks, PIECE)].map((some) => ({ cards: [], talks: some })),
  ].map((piece) => ({ piece, text: JSON.stringify(piece) }));
  const size = pieces.reduce((sum, { text }) => sum + text.length, 0);
  const counts = { cards: cards.length, talks: talks.length, pieces: pieces.length, size };
  const step: Step | undefined = parseStep({ ...rest, ...counts });
  if (!step) return undefined;
  const records: Record<string, string> = { [`${KEYS.step}${step.id}`]: JSON.stringify(step) };
  for (const [i, { piece, text }] of pieces.entries()) {
    const files = filesOf(piece.cards, text);
    records[`${KEYS.piece}${pieceKey(step.id, i)}`] = text;
    if (files.length > 0) records[`${KEYS.pieceFiles}${pieceKey(step.id, i)}`] = JSON.stringify(files);
  }
  return records;
}
