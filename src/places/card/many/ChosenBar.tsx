import { useState } from 'react';
import { View } from 'react-native';

import {
  choiceAdded,
  choosingEnded,
  exportAsked,
  selectChosenCards,
  selectExportAs,
  useAppDispatch,
  useAppSelector,
} from '@/book/state';
import type { Uid } from '@/core/card';
import { isFormatId } from '@/core/formats';
import { texts } from '@/texts/card/many';
import { Act, Ellipsis, List, ProgressLine, Send, Tag, Txt } from '@/ui';

import type { ManySheet } from '../parts/manySheet';
import { ManySheets } from './ManySheets';
import { useChangeMany } from './useChangeMany';

/** The number of selected cards and what can be done with them, within reach of the thumb. */
export function ChosenBar({ shown }: { readonly shown: readonly Uid[] }) {
  const dispatch = useAppDispatch();
  const cards = useAppSelector(selectChosenCards);
  const [begun, setOpen] = useState<ManySheet>();
  const asked = useAppSelector(selectExportAs);
  const format = isFormatId(asked) ? asked : undefined;
  const open = begun ?? (format === undefined ? undefined : 'export');
  const onSheet = (sheet: ManySheet | undefined) => {
    setOpen(sheet);
    if (format !== undefined) dispatch(exportAsked(undefined));
  };
  const work = useChangeMany();
  const isNone = cards.length === 0;
  return (
    <View
      className="border-t border-rule bg-leaf px-5 pb-1 pt-2"
      role="region"
      aria-label={texts.selectedCards}
    >
      <View className="flex-row items-center justify-between">
        <View aria-live="polite">
          <Txt font="serif" size="strong" testID="chosen-count">
            {isNone ? texts.selectRows : texts.cardsSelected(cards.length)}
          </Txt>
        </View>
        <View className="flex-row gap-4">
          <Act
            label={texts.all}
            name={texts.selectAllShown(shown.length)}
            onPress={() => dispatch(choiceAdded(shown))}
            testID="choose-all"
          />
          <Act
            label={texts.done}
            name={texts.stopSelecting}
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
            label={texts.lists}
            icon={List}
            isDisabled={isNone}
            onPress={() => setOpen('lists')}
            testID="many-lists"
          />
          <Act
            label={texts.tags}
            icon={Tag}
            isDisabled={isNone}
            onPress={() => setOpen('tags')}
            testID="many-tags"
          />
          <Act
            label={texts.send}
            icon={Send}
            isDisabled={isNone}
            onPress={() => setOpen('send')}
            testID="many-send"
          />
          <Act
            label={texts.more}
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
          format={format}
          onSheet={onSheet}
          onChange={work.change}
          onGone={() => dispatch(choosingEnded())}
        />
      )}
    </View>
  );
}
