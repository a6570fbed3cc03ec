import { View } from 'react-native';

import { Sheet, Txt } from '@/ui';

const KEYS = [
  ['/', 'Go to the quick line'],
  ['↓ ↑', 'Next and previous row of a list'],
  ['Enter', 'Open'],
  ['Space', 'Select or deselect the row'],
  ['Shift Space', 'Select up to here'],
  ['Ctrl A', 'Select all rows of the Book'],
  ['F2, Enter', 'Edit the cell of the table'],
  ['Ctrl C, X, V', 'Copy, cut and paste cells'],
  ['N', 'New card'],
  ['E', 'Edit the open card'],
  ['Ctrl Enter', 'Save what is being edited'],
  ['Escape', 'Close, or stop editing'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['?', 'This list'],
] as const;

/** All keys. */
export function KeysSheet({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
  return (
    <Sheet title="Keys" isOpen={isOpen} onClose={onClose}>
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
