import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useRef } from 'react';
import { useWindowDimensions, View } from 'react-native';

import type { BookItem, LetterShare } from '@/book/state';
import type { Uid } from '@/core/card';
import { texts } from '@/texts/find/book';
import { ThumbIndex, useTypeScale } from '@/ui';

import { BookRow, LetterRow } from './BookRow';
import { useChooseRange, useChoosingKeys } from './useChoosing';
import { LIST_ID, useRowKeys } from './useRowKeys';

/** Rows drawn before and after those in view. */
const AHEAD = 8;

interface BookListProps {
  readonly items: readonly BookItem[];
  readonly letters: readonly LetterShare[];
  readonly openUid: Uid | undefined;
}

/** The rows of the Book under their letters, and the thumb index beside them. Only those in view are drawn. */
export function BookList({ items, letters, openUid }: BookListProps) {
  const list = useRef<HTMLDivElement>(null);
  const { height, width } = useWindowDimensions();
  const scale = useTypeScale();
  // Known without measuring, so that no row moves once it has been drawn.
  const heights = { letter: 40 * scale, row: 1 + 61 * scale };
  const virtual = useVirtualizer({
    count: items.length,
    getScrollElement: () => list.current,
    estimateSize: (index) => heights[items[index]?.kind ?? 'row'],
    getItemKey: (index) => keyOf(items[index]),
    // The first rows come with the list itself.
    initialRect: { width, height },
    overscan: AHEAD,
  });
  const scrollTo = useCallback(
    (index: number) => virtual.scrollToIndex(index, { align: 'start' }),
    [virtual],
  );
  const chooseRange = useChooseRange(items);
  useRowKeys(items, scrollTo);
  useChoosingKeys(items, chooseRange);
  return (
    <View className="min-h-0 flex-1 flex-row" testID="book-list">
      {/* One stop of the tab key; arrow keys go on from there, row by row. */}
      <div
        ref={list}
        id={LIST_ID}
        role="group"
        tabIndex={0}
        aria-label={texts.cards}
        className="min-w-0 flex-1 overflow-y-auto"
      >
        <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map(({ index, key, start, size }) => {
            const item = items[index];
            return item ? (
              <div key={key} style={{ position: 'absolute', top: start, height: size, width: '100%' }}>
                {item.kind === 'letter' ? (
                  <LetterRow letter={item.letter} />
                ) : (
                  <BookRow uid={item.uid} isOpen={item.uid === openUid} onRange={chooseRange} />
                )}
              </div>
            ) : null;
          })}
        </div>
      </div>
      <ThumbIndex letters={letters} onPress={(i) => scrollTo(letters[i]?.index ?? 0)} />
    </View>
  );
}

function keyOf(item: BookItem | undefined): string {
  if (!item) return '';
  return item.kind === 'row' ? item.uid : texts.letter(item.letter);
}
