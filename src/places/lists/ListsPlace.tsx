import { usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';

import { Panes, useWide, WithStandIn } from '@/ui';

import { ListsColumn } from './ListsColumn';

/** The lists in a column, and the open one beside it, or in its place on a phone. */
export function ListsPlace({ children }: { readonly children: ReactNode }) {
  const { isWide } = useWide();
  const [, , open = ''] = usePathname().split('/');
  const isHead = open === '';
  if (isWide) {
    return (
      <Panes name="lists" width={352} list={<ListsColumn openPart={open} />}>
        <WithStandIn>{children}</WithStandIn>
      </Panes>
    );
  }
  return (
    <View className="flex-1">
      {isHead ? <ListsColumn openPart={open} /> : null}
      {/* The router's own part stays on the page: taken off, it would forget where it is. */}
      <View className={isHead ? 'hidden' : 'flex-1'}>
        <WithStandIn>{children}</WithStandIn>
      </View>
    </View>
  );
}
