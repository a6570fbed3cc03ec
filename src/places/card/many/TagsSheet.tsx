import { useState } from 'react';
import { View } from 'react-native';

import { selectTags } from '@/book/card';
import { selectSettings, useAppSelector } from '@/book/state';
import { isSameTag, tagsOf, withoutTag, withTag } from '@/core/card';
import { texts } from '@/texts/card/many';
import { Act, Field, Plus, Sheet, ToneMark } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';
import { ShareTick } from './ShareTick';

/** Adds tags to the selected cards and removes them. */
export function TagsSheet({ cards, onSheet, onChange }: ManySheetProps) {
  const tags = useAppSelector(selectTags);
  const { tagTones } = useAppSelector(selectSettings);
  const [word, setWord] = useState('');
  const count = nameCards(cards);
  const put = (tag: string, isOn: boolean) =>
    void onChange({
      cards,
      label: isOn ? texts.tagged(count, tag) : texts.removedTagFrom(tag, count),
      change: (card) => (isOn ? withTag(card, tag) : withoutTag(card, tag)),
    });
  return (
    <Sheet title={texts.tagsOf(count)} isOpen onClose={() => onSheet(undefined)}>
      {tags.map(({ tag }) => (
        <ShareTick
          key={tag}
          name={tag}
          mark={<ToneMark tone={tagTones[tag.toLowerCase()]} />}
          on={cards.filter((card) => tagsOf(card).some((one) => isSameTag(one, tag))).length}
          of={cards.length}
          onChange={(isOn) => put(tag, isOn)}
        />
      ))}
      <View className="flex-row items-end gap-3 pt-4">
        <View className="min-w-0 flex-1">
          <Field label={texts.newTag} value={word} onChange={setWord} testID="new-tag" />
        </View>
        <Act
          label={texts.addTag}
          icon={Plus}
          isDisabled={word.trim() === ''}
          onPress={() => {
            put(word.trim(), true);
            setWord('');
          }}
          testID="give-tag"
        />
      </View>
    </Sheet>
  );
}
