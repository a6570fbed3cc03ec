import { type ReactNode, useContext } from 'react';
import { View } from 'react-native';

import { PaneContext } from '../theme/paneContext';

/** A page that is loaded piece by piece, and what stands in for it as long as there is nothing of it. */
export function WithStandIn({ children }: { readonly children: ReactNode }) {
  const { standIn } = useContext(PaneContext);
  return (
    <View className="min-h-0 flex-1">
      <View className="peer min-h-0 flex-1">{children}</View>
      {standIn}
    </View>
  );
}
