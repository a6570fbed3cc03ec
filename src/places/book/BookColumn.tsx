import { useState } from 'react';
import { View } from 'react-native';

import { type RowFilter, selectBookList, selectIsOpen, selectReading, useAppSelector } from '@/book';
import type { Uid } from '@/core/card';

import { BookHead } from './BookHead';
import { BookList } from './BookList';
import { EmptyBook } from './EmptyBook';

/** The head of the Book and the rows under it. */
export function BookColumn({ openUid }: { readonly openUid: Uid | undefined }) {
  const [filter, setFilter] = useState<RowFilter>('all');
  const { items, letters } = useAppSelector((state) => selectBookList(state, filter));
  const isOpen = useAppSelector(selectIsOpen);
  const isReading = useAppSelector((state) => selectReading(state) !== undefined);
  const isEmpty = isOpen && !isReading && items.length === 0;
  return (
    <View className="flex-1">
      <BookHead filter={filter} onFilter={setFilter} />
      {isEmpty ? (
        <EmptyBook filter={filter} />
      ) : (
        <BookList items={items} letters={letters} openUid={openUid} />
      )}
    </View>
  );
}
