import { useState } from 'react';
import { View } from 'react-native';

import { changeBook, useAppDispatch } from '@/book';
import { type Card, shownAs } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, NextAct, Pencil, Send, Trash, useWide } from '@/ui';

import { SendSheet } from './SendSheet';

/** What can be done with the card itself. */
export function CardActs({ card }: { readonly card: Card }) {
  const dispatch = useAppDispatch();
  const { isWide } = useWide();
  const [isSending, setSending] = useState(false);
  const remove = async () => {
    await dispatch(changeBook({ cause: 'delete', label: `Deleted ${shownAs(card)}`, removed: [card.uid] }));
    go('/book');
  };
  return (
    <View className={`border-b border-rule py-3 ${isWide ? 'flex-row items-center gap-5' : 'gap-1'}`}>
      <NextAct
        label="Edit"
        icon={Pencil}
        onPress={() => go(cardPath(card.uid, '/edit'))}
        testID="edit-card"
      />
      <View className="flex-row gap-5">
        <Act
          label="Send"
          name="Send this card to somebody"
          icon={Send}
          onPress={() => setSending(true)}
          testID="send-card"
        />
        <Act label="Delete" icon={Trash} tone="brick" onPress={() => void remove()} testID="delete-card" />
      </View>
      {isSending ? <SendSheet card={card} onClose={() => setSending(false)} /> : null}
    </View>
  );
}
