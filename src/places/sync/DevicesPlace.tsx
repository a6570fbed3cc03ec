import { usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';

import { useWide } from '@/ui';

import { DevicesColumn } from './DevicesColumn';

/** The devices in a column, and the open one beside it, or in its place on a phone. */
export function DevicesPlace({ children }: { readonly children: ReactNode }) {
  const { isWide } = useWide();
  const [, , open = ''] = usePathname().split('/');
  const isHead = open === '';
  if (isWide)
    return (
      <View className="flex-1 flex-row">
        <View className="w-[400px] border-r border-rule">
          <DevicesColumn openName={decodeURIComponent(open)} />
        </View>
        <View className="min-w-0 flex-1">{children}</View>
      </View>
    );
  return (
    <View className="flex-1">
      {isHead ? <DevicesColumn openName="" /> : null}
      {/* The router's own part stays on the page: taken off, it would forget where it is. */}
      <View className={isHead ? 'hidden' : 'flex-1'}>{children}</View>
    </View>
  );
}
