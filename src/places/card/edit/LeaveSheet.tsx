import { View } from 'react-native';

import { texts } from '@/texts/card/edit';
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
    <Sheet title={texts.unsavedChanges} isOpen={isOpen} onClose={onStay}>
      <View className="gap-2 pt-2">
        <NextAct
          label={texts.save}
          onPress={() => {
            onStay();
            onSave();
          }}
          testID="leave-save"
        />
        <Act label={texts.keepEditing} onPress={onStay} testID="leave-stay" />
        <Act label={texts.discardChanges} tone="brick" onPress={onLeave} testID="leave-discard" />
      </View>
    </Sheet>
  );
}
