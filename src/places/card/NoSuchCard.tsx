import { View } from 'react-native';

import { go } from '@/platform/navigation';
import { Act, EmptyPlace } from '@/ui';

/** In place of a card that the book doesn't have. */
export function NoSuchCard() {
  return (
    <EmptyPlace
      title="No such card"
      text="It may have been deleted, or belongs to another book. Undo brings a deleted card back."
    >
      <View className="flex-row">
        <Act label="Go to the Book" onPress={() => go('/book', 'replace')} />
      </View>
    </EmptyPlace>
  );
}
