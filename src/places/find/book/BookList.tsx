import { FlashList, type FlashListRef } from '@shopify/flash-list';
import { useCallback, useRef } from 'react';
import { View } from 'react-native';

import type { BookItem, LetterShare } from '@/book/state';
import type { Uid } from '@/core/card';
import { texts } from '@/texts/find/book';
import { ThumbIndex } from '@/ui';

import { BookRow, LetterRow } from './BookRow';
import { ListOfCells, RowCell } from './RowCell';
import { useChooseRange, useChoosingKeys } from './useChoosing';
import { LIST_ID, useRowKeys } from './useRowKeys';

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
  const chooseRange = useChooseRange(items);
  useRowKeys(items, scrollTo);
  useChoosingKeys(items, chooseRange);
  return (
    <View className="min-h-0 flex-1 flex-row" testID="book-list">
      <View className="min-w-0 flex-1">
        <ListOfCells.Provider value={list}>
          <FlashList
            ref={list}
            data={items as BookItem[]}
            CellRendererComponent={RowCell}
            // Rows come and go under their letters, so what is in view may move.
            maintainVisibleContentPosition={{ disabled: true }}
            extraData={openUid}
            // The list is one stop of the tab key; arrow keys go on from there, row by row.
            overrideProps={{ tabIndex: 0, nativeID: LIST_ID, role: 'group', 'aria-label': texts.cards }}
            keyExtractor={(item) => (item.kind === 'row' ? item.uid : texts.letter(item.letter))}
            getItemType={(item) => item.kind}
            renderItem={({ item }) =>
              item.kind === 'letter' ? (
                <LetterRow letter={item.letter} />
              ) : (
                <BookRow uid={item.uid} isOpen={item.uid === openUid} onRange={chooseRange} />
              )
            }
          />
        </ListOfCells.Provider>
      </View>
      <ThumbIndex letters={letters} onPress={(i) => scrollTo(letters[i]?.index ?? 0)} />
    </View>
  );
}
