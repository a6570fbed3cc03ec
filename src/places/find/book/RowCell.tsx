import type { FlashListRef } from '@shopify/flash-list';
import { createContext, type RefObject, useContext } from 'react';
import { type LayoutChangeEvent, View, type ViewProps } from 'react-native';

import type { BookItem } from '@/book/state';

/** The list that cells are in. */
export const ListOfCells = createContext<RefObject<FlashListRef<BookItem> | null> | undefined>(undefined);

interface RowCellProps extends ViewProps {
  readonly index: number;
}

/**
 * The box around each row. A row that has just left the list may still report its size, and the list (FlashList 2.3 as
 * well as 2.0) throws where it has no place for it any more; such a report is dropped here.
 */
export function RowCell({ index, onLayout, ...props }: RowCellProps) {
  const list = useContext(ListOfCells);
  const report = (event: LayoutChangeEvent) => {
    if (list?.current?.getLayout(index) !== undefined) onLayout?.(event);
  };
  return <View {...props} onLayout={report} />;
}
