import { View } from 'react-native';

import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/frame/frame';
import { Sheet, Txt } from '@/ui';

const KEYS = [
  ['/', texts.goToQuickLine],
  ['↓ ↑', texts.nextAndPreviousRow],
  [texts.enter, texts.open],
  [texts.space, texts.selectOrDeselectRow],
  [texts.shiftSpace, texts.selectUpToHere],
  [texts.ctrl, texts.selectAllRowsOfBook],
  ['F2, Enter', texts.editCellOfTable],
  [texts.ctrlCXV, texts.copyCutAndPaste],
  ['N', shared.newCard],
  ['E', texts.editOpenCard],
  [texts.ctrlEnter, texts.saveWhatIsBeing],
  [texts.escape, texts.closeOrStopEditing],
  [texts.ctrlZ, texts.undo],
  [texts.ctrlShiftZ, texts.redo],
  ['?', texts.thisList],
] as const;

/** All keys. */
export function KeysSheet({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
  return (
    <Sheet title={texts.keys} isOpen={isOpen} onClose={onClose}>
      {KEYS.map(([key, what]) => (
        <View key={key} className="flex-row border-b border-rule py-2">
          <View className="w-[120px]">
            <Txt font="sansBold">{key}</Txt>
          </View>
          <View className="min-w-0 flex-1">
            <Txt>{what}</Txt>
          </View>
        </View>
      ))}
    </Sheet>
  );
}
