import { type ComponentType, Suspense, useState } from 'react';
import { View } from 'react-native';

import {
  type RowFilter,
  selectBookList,
  selectIsChoosing,
  selectIsOpen,
  selectLeads,
  selectReading,
  useAppSelector,
} from '@/book/state';
import { useTalkOrder } from '@/book/talks';
import type { Uid } from '@/core/card';

import { BookHead } from './BookHead';
import { BookList } from './BookList';
import { EmptyBook } from './EmptyBook';
import { rowUids } from './useChoosing';

interface BookColumnProps {
  readonly openUid: Uid | undefined;
  readonly ChosenBar: ComponentType<{ readonly shown: readonly Uid[] }>;
}

/** The head of the Book and the rows under it. */
export function BookColumn({ openUid, ChosenBar }: BookColumnProps) {
  const [filter, setFilter] = useState<RowFilter>('all');
  const places = useTalkOrder();
  const leads = useAppSelector(selectLeads);
  const { items, letters } = useAppSelector((state) => selectBookList(state, filter, places, leads));
  const isOpen = useAppSelector(selectIsOpen);
  const isReading = useAppSelector((state) => selectReading(state) !== undefined);
  const isChoosing = useAppSelector(selectIsChoosing);
  const isEmpty = isOpen && !isReading && items.length === 0;
  return (
    <View className="flex-1">
      <BookHead filter={filter} onFilter={setFilter} />
      {isEmpty ? (
        <EmptyBook filter={filter} />
      ) : (
        <BookList items={items} letters={letters} openUid={openUid} />
      )}
      {isChoosing ? (
        <Suspense fallback={null}>
          <ChosenBar shown={rowUids(items)} />
        </Suspense>
      ) : null}
    </View>
  );
}
