import { useState } from 'react';
import { View } from 'react-native';

import { choiceAdded, choosingEnded, selectChosenCards, useAppDispatch, useAppSelector } from '@/book/state';
import type { Uid } from '@/core/card';
import { formatCount } from '@/platform';
import { Act, Ellipsis, List, ProgressLine, Send, Tag, Txt } from '@/ui';

import type { ManySheet } from '../parts/manySheet';
import { ManySheets } from './ManySheets';
import { useChangeMany } from './useChangeMany';

/** How many are chosen and what can be done with all of them, within reach of the thumb. */
export function ChosenBar({ shown }: { readonly shown: readonly Uid[] }) {
  const dispatch = useAppDispatch();
  const cards = useAppSelector(selectChosenCards);
  const [open, setOpen] = useState<ManySheet>();
  const work = useChangeMany();
  const isNone = cards.length === 0;
  return (
    <View className="border-t border-rule bg-leaf px-5 pb-1 pt-2" role="region" aria-label="Selected cards">
      <View className="flex-row items-center justify-between">
        <View aria-live="polite">
          <Txt font="serif" size="strong" testID="chosen-count">
            {isNone ? 'Select rows' : `${formatCount(cards.length, 'card', 'cards')} selected`}
          </Txt>
        </View>
        <View className="flex-row gap-4">
          <Act
            label="All"
            name={`Select all ${shown.length} shown`}
            onPress={() => dispatch(choiceAdded(shown))}
            testID="choose-all"
          />
          <Act
            label="Done"
            name="Stop selecting"
            tone="faded"
            onPress={() => dispatch(choosingEnded())}
            testID="choosing-done"
          />
        </View>
      </View>
      {work.running ? (
        <ProgressLine text={work.running.text} share01={work.running.share01} onStop={work.stop} />
      ) : (
        <View className="flex-row justify-between">
          <Act
            label="Lists"
            icon={List}
            isDisabled={isNone}
            onPress={() => setOpen('lists')}
            testID="many-lists"
          />
          <Act
            label="Tags"
            icon={Tag}
            isDisabled={isNone}
            onPress={() => setOpen('tags')}
            testID="many-tags"
          />
          <Act
            label="Send"
            icon={Send}
            isDisabled={isNone}
            onPress={() => setOpen('send')}
            testID="many-send"
          />
          <Act
            label="More"
            icon={Ellipsis}
            isDisabled={isNone}
            onPress={() => setOpen('more')}
            testID="many-more"
          />
        </View>
      )}
      {open === undefined ? null : (
        <ManySheets
          sheet={open}
          cards={cards}
          onSheet={setOpen}
          onChange={work.change}
          onGone={() => dispatch(choosingEnded())}
        />
      )}
    </View>
  );
}
