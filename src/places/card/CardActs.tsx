import { useState } from 'react';
import { View } from 'react-native';

import { type Card, hasFlag, withFlag } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/card/card';
import { Act, Archive, Ellipsis, List, NextAct, Pencil, ProgressLine, Send, Tag, Txt, useWide } from '@/ui';

import { ManySheets } from './many/ManySheets';
import { useChangeMany } from './many/useChangeMany';
import type { ManySheet } from './parts/manySheet';
import { nameCards } from './parts/nameCards';
import { SendSheet } from './SendSheet';

/** What can be done with the card itself; the same as with many, for one. */
export function CardActs({ card }: { readonly card: Card }) {
  const { isWide } = useWide();
  const [isSending, setSending] = useState(false);
  const [open, setOpen] = useState<ManySheet>();
  const work = useChangeMany();
  const isArchived = hasFlag(card, 'archived');
  const bringBack = () =>
    void work.change({
      cards: [card],
      label: texts.restored(nameCards([card])),
      change: (one) => withFlag(one, 'archived', false),
    });
  return (
    <View
      className={`border-b border-rule py-3 ${isWide ? 'flex-row flex-wrap items-center gap-x-5' : 'gap-1'}`}
    >
      {isArchived ? (
        <View className="w-full flex-row items-center justify-between gap-4">
          <View className="min-w-0 flex-1">
            <Txt tone="ochre">{texts.archivedHiddenInBook}</Txt>
          </View>
          <Act label={texts.restore} icon={Archive} onPress={bringBack} testID="bring-back" />
        </View>
      ) : null}
      <NextAct
        label={texts.edit}
        icon={Pencil}
        onPress={() => go(cardPath(card.uid, '/edit'))}
        testID="edit-card"
      />
      <View className={`flex-row flex-wrap gap-x-5 ${isWide ? 'min-w-0 flex-1' : 'justify-between'}`}>
        <Act
          label={texts.send}
          name={texts.sendThisCard}
          icon={Send}
          onPress={() => setSending(true)}
          testID="send-card"
        />
        <Act label={texts.lists} icon={List} onPress={() => setOpen('lists')} testID="card-lists" />
        <Act label={texts.tags} icon={Tag} onPress={() => setOpen('tags')} testID="card-tags" />
        <Act
          label={texts.more}
          name={texts.moreToDoWithThisCard}
          icon={Ellipsis}
          onPress={() => setOpen('more')}
          testID="card-more"
        />
      </View>
      {work.running ? (
        <ProgressLine text={work.running.text} share01={work.running.share01} onStop={work.stop} />
      ) : null}
      {isSending ? <SendSheet card={card} onClose={() => setSending(false)} /> : null}
      {open === undefined ? null : (
        <ManySheets
          sheet={open}
          cards={[card]}
          onSheet={setOpen}
          onChange={work.change}
          onGone={() => go('/book')}
        />
      )}
    </View>
  );
}
