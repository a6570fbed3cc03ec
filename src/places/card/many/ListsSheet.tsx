import { useState } from 'react';
import { View } from 'react-native';

import { changeBook } from '@/book/commit';
import { added } from '@/book/history';
import { selectLists, useAppDispatch, useAppSelector, useServices } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import { newList, withMembers, withoutMembers } from '@/core/lists';
import { texts } from '@/texts/card/many';
import { Act, Field, Plus, Sheet, Txt } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';
import { ShareTick } from './ShareTick';

/** Adds the selected cards to lists and removes them. */
export function ListsSheet({ cards, onSheet, onChange }: ManySheetProps) {
  const dispatch = useAppDispatch();
  const { newUid, utcNow } = useServices();
  const lists = useAppSelector(selectLists);
  const [name, setName] = useState('');
  const uids = cards.map(({ uid }) => uid);
  const count = nameCards(cards);
  const put = (list: Card, isOn: boolean) =>
    void onChange({
      cards: [list],
      label: isOn ? texts.addedTo(count, shownAs(list)) : texts.removedFrom(count, shownAs(list)),
      change: (one) => (isOn ? withMembers(one, uids) : withoutMembers(one, uids)),
    });
  const make = async () => {
    const list = withMembers(newList(newUid(), name.trim(), utcNow()), uids);
    setName('');
    await dispatch(
      changeBook({ cause: 'add', label: texts.createdListWith(name.trim(), count), edits: [added(list)] }),
    );
  };
  return (
    <Sheet title={texts.listsOf(count)} isOpen onClose={() => onSheet(undefined)}>
      {lists.length === 0 ? <Txt tone="faded">{texts.thereAreNoLists}</Txt> : null}
      {lists.map((list) => (
        <ShareTick
          key={list.uid}
          name={shownAs(list)}
          on={uids.filter((uid) => list.members?.[uid] === true).length}
          of={uids.length}
          onChange={(isOn) => put(list, isOn)}
        />
      ))}
      <View className="flex-row items-end gap-3 pt-4">
        <View className="min-w-0 flex-1">
          <Field label={texts.newList} value={name} onChange={setName} testID="new-list-name" />
        </View>
        <Act
          label={texts.create}
          icon={Plus}
          isDisabled={name.trim() === ''}
          onPress={() => void make()}
          testID="make-list"
        />
      </View>
    </Sheet>
  );
}
