import { useState } from 'react';
import { View } from 'react-native';

import type { Card } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/card/card';
import { Act, Ellipsis, List, Pencil, ProgressLine, Send, Tag } from '@/ui';

import { ManySheets } from './many/ManySheets';
import { useChangeMany } from './many/useChangeMany';
import type { ManySheet } from './parts/manySheet';
import { SendSheet } from './SendSheet';

interface QuietActsProps {
  readonly card: Card;
  /** Where there is no room for words. */
  readonly iconOnly?: boolean;
}

/** What can be done with the card itself; the same as with many, for one. */
export function QuietActs({ card, iconOnly = false }: QuietActsProps) {
  const [isSending, setSending] = useState(false);
  const [open, setOpen] = useState<ManySheet>();
  const work = useChangeMany();
  const look = { iconOnly, tone: 'faded' } as const;
  return (
    <View className={`max-w-full shrink flex-row flex-wrap ${iconOnly ? 'gap-x-1' : 'gap-x-5'}`}>
      <Act
        label={texts.edit}
        {...(iconOnly ? {} : { icon: Pencil })}
        tone="faded"
        onPress={() => go(cardPath(card.uid, '/edit'))}
        testID="edit-card"
      />
      <Act {...look} label={texts.lists} icon={List} onPress={() => setOpen('lists')} testID="card-lists" />
      <Act {...look} label={texts.tags} icon={Tag} onPress={() => setOpen('tags')} testID="card-tags" />
      <Act
        {...look}
        label={texts.send}
        name={texts.sendThisCard}
        icon={Send}
        onPress={() => setSending(true)}
        testID="send-card"
      />
      <Act
        {...look}
        label={texts.more}
        name={texts.moreToDoWithThisCard}
        icon={Ellipsis}
        onPress={() => setOpen('more')}
        testID="card-more"
      />
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
