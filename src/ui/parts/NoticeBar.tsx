import { View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { X } from '../icons';
import { Act } from './Act';
import { Txt } from './Txt';

interface NoticeBarProps {
  readonly text: string;
  readonly tone: 'plain' | 'error';
  readonly onUndo?: (() => void) | undefined;
  readonly onClose: () => void;
}

/** What just happened, and how to take it back; to be put into a live region. */
export function NoticeBar({ text, tone, onUndo, onClose }: NoticeBarProps) {
  return (
    <View testID="notice" className="flex-row items-center gap-2 border border-rule bg-leaf pl-4 pr-1">
      <View className="min-w-0 flex-1 py-2">
        <Txt tone={tone === 'error' ? 'brick' : 'ink'}>{text}</Txt>
      </View>
      {onUndo ? <Act label={texts.undo} onPress={onUndo} testID="notice-undo" /> : null}
      <Act label={texts.closeMessage} icon={X} iconOnly tone="faded" onPress={onClose} />
    </View>
  );
}
