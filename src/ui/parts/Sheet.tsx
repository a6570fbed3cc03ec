import { type ReactNode, use, useEffect, useRef } from 'react';
import { Modal, ScrollView, View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { X } from '../icons';
import { BackContext } from '../theme/backContext';
import { useWide } from '../theme/useWide';
import { Act } from './Act';
import { focusWhatIsFor } from './focusWhatIsFor';
import { Txt } from './Txt';

interface SheetProps {
  readonly title: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/**
 * A leaf over the page: from below on a phone, in the middle on a wide screen. Its Close, Escape, a press beside it and the
 * browser's back close it.
 */
export function Sheet({ title, isOpen, onClose, children }: SheetProps) {
  const { isWide } = useWide();
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });
  const closeByBack = use(BackContext);
  useEffect(() => (isOpen ? closeByBack(() => close.current()) : undefined), [isOpen, closeByBack]);
  const leaf = useRef<View>(null);
  useEffect(() => {
    if (isOpen) focusWhatIsFor(leaf.current as HTMLElement | null);
  }, [isOpen]);
  return (
    <Modal
      visible={isOpen}
      transparent
      onRequestClose={onClose}
      animationType="none"
      {...({ 'aria-label': title } as object)}
    >
      <View className={`flex-1 ${isWide ? 'items-center justify-center' : 'justify-end'}`}>
        {/* Nothing that could have the focus, which begins with what the sheet is for. */}
        <View aria-hidden className="absolute inset-0 bg-[#000]/50" {...({ onClick: onClose } as object)} />
        <View
          ref={leaf}
          className={`max-h-[85%] border-rule bg-paper px-5 pb-5 pt-2 ${isWide ? 'w-[460px] rounded-stamp border' : 'w-full border-t'}`}
        >
          <View className="pr-10 pt-2">
            <Txt font="serif" size="title" heading={2}>
              {title}
            </Txt>
          </View>
          <ScrollView className="mt-2">{children}</ScrollView>
          {/* After what the sheet is for, so that the focus begins there. */}
          <View className="absolute right-2 top-1">
            <Act label={texts.close} icon={X} iconOnly tone="faded" onPress={onClose} testID="close-sheet" />
          </View>
        </View>
      </View>
    </Modal>
  );
}
