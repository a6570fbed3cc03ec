import { View } from 'react-native';

import { Act, NextAct, Sheet } from '@/ui';

interface LeaveSheetProps {
  readonly isOpen: boolean;
  readonly onStay: () => void;
  readonly onLeave: () => void;
  readonly onSave: () => void;
}

/** Asked before a page with unsaved changes is left. */
export function LeaveSheet({ isOpen, onStay, onLeave, onSave }: LeaveSheetProps) {
  return (
    <Sheet title="Unsaved changes" isOpen={isOpen} onClose={onStay}>
      <View className="gap-2 pt-2">
        <NextAct
          label="Save"
          onPress={() => {
            onStay();
            onSave();
          }}
          testID="leave-save"
        />
        <Act label="Keep editing" onPress={onStay} testID="leave-stay" />
        <Act label="Discard changes" tone="brick" onPress={onLeave} testID="leave-discard" />
      </View>
    </Sheet>
  );
}
