import type { ReactNode } from 'react';
import { Modal, Pressable, ScrollView, View } from 'react-native';

import { useWide } from '../theme/useWide';
import { Txt } from './Txt';

interface SheetProps {
  readonly title: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** A leaf over the page: from below on a phone, in the middle on a wide screen. Escape and a press beside it close it. */
export function Sheet({ title, isOpen, onClose, children }: SheetProps) {
  const { isWide } = useWide();
  return (
    <Modal
      visible={isOpen}
      transparent
      onRequestClose={onClose}
      animationType="none"
      {...({ 'aria-label': title } as object)}
    >
      <View className={`flex-1 ${isWide ? 'items-center justify-center' : 'justify-end'}`}>
        <Pressable aria-hidden tabIndex={-1} onPress={onClose} className="absolute inset-0 bg-[#000]/50" />
        <View
          className={`max-h-[85%] border-rule bg-paper px-5 pb-5 pt-4 ${isWide ? 'w-[460px] rounded-stamp border' : 'w-full border-t'}`}
        >
          <Txt font="serif" size="title" heading={2}>
            {title}
          </Txt>
          <ScrollView className="mt-2">{children}</ScrollView>
        </View>
      </View>
    </Modal>
  );
}
