import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { selectTags, type TagCount } from '@/book/card';
import { selectSettings, useAppSelector } from '@/book/state';
import { texts } from '@/texts/lists/lists';
import { ToneMark, Txt } from '@/ui';

import { TagSheet } from './TagSheet';

/** All tags in use with how many cards have them; pressing one offers what can be done with it. */
export function TagsPart() {
  const tags = useAppSelector(selectTags);
  const { tagTones } = useAppSelector(selectSettings);
  const [chosen, setChosen] = useState<TagCount>();
  if (tags.length === 0) return null;
  return (
    <View className="px-5 pb-6 pt-5" testID="tags">
      <Txt size="small" font="sansBold" tone="faded" heading={2}>
        {texts.tags}
      </Txt>
      {tags.map((one) => (
        <Pressable
          key={one.tag}
          role="button"
          aria-label={texts.tagCards(one.tag, one.count)}
          onPress={() => setChosen(one)}
          className="min-h-[44px] flex-row items-center gap-3 border-b border-rule hover:bg-leaf active:bg-leaf"
        >
          <ToneMark tone={tagTones[one.tag.toLowerCase()]} />
          <View className="min-w-0 flex-1">
            <Txt lines={1}>{one.tag}</Txt>
          </View>
          <Txt size="small" tone="faded" isFigures>
            {String(one.count)}
          </Txt>
        </Pressable>
      ))}
      {chosen ? <TagSheet key={chosen.tag} tag={chosen} onClose={() => setChosen(undefined)} /> : null}
    </View>
  );
}
