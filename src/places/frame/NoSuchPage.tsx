import { View } from 'react-native';

import { go } from '@/platform/navigation';
import { texts } from '@/texts/frame/frame';
import { Act, EmptyPlace } from '@/ui';

/** In place of a page whose address is not one of ours. */
export function NoSuchPage() {
  return (
    <EmptyPlace title={texts.noSuchPage} text={texts.addressLeadsNowhere}>
      <View className="flex-row">
        <Act label={texts.toToday} onPress={() => go('/today', 'replace')} />
      </View>
    </EmptyPlace>
  );
}
