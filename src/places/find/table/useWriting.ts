import { useCallback, useState } from 'react';

import { changeMany } from '@/book/commit';
import { useAppDispatch } from '@/book/state';
import { findCountryCode } from '@/core/base';
import { type Card, type CellText, shownAs, type TableColumn } from '@/core/card';
import { LOCALE } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/table';

/** Gives what writes cells; it is loaded when the first cell is written. */
export type LoadWriting = () => Promise<{
  readonly writeCell: (
    card: Card,
    column: string,
    text: string,
    context: {
      readonly locale: string;
      readonly findCountryCode: (name: string) => string | undefined;
      readonly title: string;
    },
  ) => { readonly card: Card } | { readonly fault: string };
}>;

/** What could not be written, and why. */
export interface Refused {
  readonly where: string;
  readonly text: string;
  readonly why: string;
}

interface Places {
  readonly cards: readonly Card[];
  /** The columns that are shown, from the left. */
  readonly columns: readonly TableColumn[];
  readonly loadWriting: LoadWriting;
}

/**
 * Writes cells, all of them as one step of the history. What is refused is kept to be said, with what it was; quietly
 * where the caller says it.
 */
export function useWriting({ cards, columns, loadWriting }: Places) {
  const dispatch = useAppDispatch();
  const [refused, setRefused] = useState<readonly Refused[]>([]);
  const write = useCallback(
    async (cells: readonly CellText[], isQuiet = false): Promise<readonly Refused[]> => {
      const { writeCell } = await loadWriting();
      const { written, faults, titles, count } = writeAll(cells, cards, columns, writeCell);
      const touched = cards.filter(({ uid }) => written.has(uid));
      if (touched.length > 0) {
        const label = labelOf([...written.values()], [...titles], count);
        await dispatch(
          changeMany({ cards: touched, label, change: (card) => written.get(card.uid) ?? card }),
        );
      }
      setRefused(isQuiet ? [] : faults);
      return faults;
    },
    [cards, columns, dispatch, loadWriting],
  );
  return { write, refused, setRefused };
}

/** All cells in turn: what becomes of their cards, and what was refused. */
function writeAll(
  cells: readonly CellText[],
  cards: readonly Card[],
  columns: readonly TableColumn[],
  writeCell: Awaited<ReturnType<LoadWriting>>['writeCell'],
) {
  const written = new Map<string, Card>();
  const faults: Refused[] = [];
  const titles = new Set<string>();
  let count = 0;
  for (const { row, column: at, text } of cells) {
    const [card, column] = [cards[row], columns[at]];
    if (!card || !column) continue;
    const before = written.get(card.uid) ?? card;
    const { id, title, read } = column;
    const findCode = (name: string) => findCountryCode(name, LOCALE);
    const result = writeCell(before, id, text, { locale: LOCALE, findCountryCode: findCode, title });
    if ('fault' in result) {
      faults.push({ where: `${shownAs(card) || shared.noName}, ${title}`, text, why: result.fault });
    } else if (read(result.card) !== read(before)) {
      written.set(card.uid, result.card);
      titles.add(title);
      count += 1;
    }
  }
  return { written, faults, titles, count };
}

function labelOf(cards: readonly Card[], titles: readonly string[], count: number): string {
  const [card] = cards;
  const whose = cards.length === 1 && card ? shownAs(card) || shared.card : shared.cardCount(cards.length);
  const what =
    titles.length === 1 && count === cards.length
      ? (titles[0] ?? texts.valueCount(count))
      : texts.valueCount(count);
  return texts.changedOf(what, whose);
}
