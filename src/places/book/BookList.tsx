import { FlashList, type FlashListRef } from '@shopify/flash-list';
import { useCallback, useRef } from 'react';
import { View } from 'react-native';

import type { BookItem, LetterShare } from '@/book';
import type { Uid } from '@/core/card';
import { ThumbIndex } from '@/ui';

import { BookRow, LetterRow } from './BookRow';
import { useRowKeys } from './useRowKeys';

interface BookListProps {
  readonly items: readonly BookItem[];
  readonly letters: readonly LetterShare[];
  readonly openUid: Uid | undefined;
}

/** The rows of the Book under their letters, and the thumb index beside them. */
export function BookList({ items, letters, openUid }: BookListProps) {
  const list = useRef<FlashListRef<BookItem>>(null);
  const scrollTo = useCallback((index: number, animated = false) => {
    void list.current?.scrollToIndex({ index, animated, viewPosition: 0 });
  }, []);
  const tabStop = useRowKeys(items, scrollTo);
  const stop = tabStop ?? openUid ?? firstUid(items);
  return (
    <View className="min-h-0 flex-1 flex-row" testID="book-list">
      <View className="min-w-0 flex-1">
        <FlashList
          ref={list}
          data={items as BookItem[]}
          extraData={`${stop} ${openUid}`}
          keyExtractor={(item) => (item.kind === 'row' ? item.uid : `letter ${item.letter}`)}
          getItemType={(item) => item.kind}
          renderItem={({ item }) =>
            item.kind === 'letter' ? (
              <LetterRow letter={item.letter} />
            ) : (
              <BookRow uid={item.uid} isOpen={item.uid === openUid} isTabStop={item.uid === stop} />
            )
          }
        />
      </View>
      <ThumbIndex letters={letters} onPress={(i) => scrollTo(letters[i]?.index ?? 0)} />
    </View>
  );
}

function firstUid(items: readonly BookItem[]): Uid | undefined {
  const first = items.find(({ kind }) => kind === 'row');
  return first?.kind === 'row' ? first.uid : undefined;
}
