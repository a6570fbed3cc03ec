import { usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';

import { Panes, useWide, WithStandIn } from '@/ui';

import { DevicesColumn } from './DevicesColumn';

/** The devices in a column, and the open one beside it, or in its place on a phone. */
export function DevicesPlace({ children }: { readonly children: ReactNode }) {
  const { isWide } = useWide();
  const [, , open = ''] = usePathname().split('/');
  const isHead = open === '';
  if (isWide)
    return (
      <Panes name="devices" width={400} list={<DevicesColumn openName={decodeURIComponent(open)} />}>
        <WithStandIn>{children}</WithStandIn>
      </Panes>
    );
  return (
    <View className="flex-1">
      {isHead ? <DevicesColumn openName="" /> : null}
      {/* The router's own part stays on the page: taken off, it would forget where it is. */}
      <View className={isHead ? 'hidden' : 'flex-1'}>
        <WithStandIn>{children}</WithStandIn>
      </View>
    </View>
  );
}
