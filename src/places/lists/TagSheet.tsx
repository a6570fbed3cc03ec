import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';

import { selectTags, type TagCount } from '@/book/card';
import { changeMany } from '@/book/commit';
import { changeSettingsUndoably } from '@/book/settings';
import {
  type AppStore,
  choiceMade,
  selectCardsByUid,
  selectSettings,
  useAppDispatch,
  useAppSelector,
} from '@/book/state';
import { isSameTag, renameTag, tagsOf, withoutTag } from '@/core/card';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/lists/lists';
import { Act, Choice, Field, ListChecks, Sheet, TONE_NAMES, Trash } from '@/ui';

interface TagSheetProps {
  readonly tag: TagCount;
  readonly onClose: () => void;
}

/** What can be done with a tag: another name or joining it to another, a colour, choosing its cards, taking it off all. */
export function TagSheet({ tag: { tag, count }, onClose }: TagSheetProps) {
  const dispatch = useAppDispatch();
  const { getState } = useStore() as AppStore;
  const tags = useAppSelector(selectTags);
  const { tagTones } = useAppSelector(selectSettings);
  const [text, setText] = useState(tag);
  const word = text.trim();
  const other = tags.find((one) => one.tag !== tag && isSameTag(one.tag, word));
  const cards = () =>
    selectCardsByUid(getState())
      .values()
      .filter((card) => tagsOf(card).some((one) => isSameTag(one, tag)));
  const tone = tagTones[tag.toLowerCase()];
  const setTone = (index: number | undefined, key = tag.toLowerCase()) => {
    const { [tag.toLowerCase()]: _, ...others } = tagTones;
    dispatch(
      changeSettingsUndoably(texts.colourOfTag(tag), {
        tagTones: index === undefined ? others : { ...others, [key]: index },
      }),
    );
  };
  const rename = () => {
    onClose();
    // A tag keeps its colour under its new name; joined to another, it takes the other's.
    if (!other && tone !== undefined) setTone(tone, word.toLowerCase());
    void dispatch(
      changeMany({
        cards: cards(),
        label: other ? texts.mergedTagInto(tag, other.tag) : texts.renamedTagTo(tag, word),
        change: (card) => renameTag(card, tag, other?.tag ?? word),
      }),
    );
  };
  const remove = () => {
    onClose();
    void dispatch(
      changeMany({
        cards: cards(),
        label: texts.removedTagFromCards(tag, count),
        change: (card) => withoutTag(card, tag),
      }),
    );
  };
  const choose = () => {
    onClose();
    dispatch(choiceMade(cards().map(({ uid }) => uid)));
    go('/book');
  };
  return (
    <Sheet title={texts.tag(tag)} isOpen onClose={onClose}>
      <View className="gap-4">
        <View className="flex-row items-end gap-4">
          <View className="min-w-0 flex-1">
            <Field
              label={texts.name}
              value={text}
              onChange={setText}
              hint={other ? texts.thereIsTagAlready(other.tag) : undefined}
              testID="rename-tag"
            />
          </View>
          <Act
            label={other ? texts.merge : texts.rename}
            isDisabled={word === '' || word === tag}
            onPress={rename}
            testID="do-rename-tag"
          />
        </View>
        <View className="flex-row flex-wrap gap-x-5">
          <Act label={texts.selectItsCards(count)} icon={ListChecks} onPress={choose} testID="choose-tag" />
          <Act label={texts.removeItFromAll} icon={Trash} tone="brick" onPress={remove} testID="remove-tag" />
        </View>
        <Choice
          name={texts.colour}
          options={[['', texts.noColour], ...TONE_NAMES.map((name, i) => [String(i), name] as const)]}
          value={tone === undefined ? '' : String(tone)}
          onChange={(value) => setTone(value === '' ? undefined : Number(value))}
        />
      </View>
    </Sheet>
  );
}
