import { useState } from 'react';
import { View } from 'react-native';

import { useListName } from '@/book/lists';
import { selectLists, useAppSelector } from '@/book/state';
import { shownAs } from '@/core/card';
import { texts } from '@/texts/find/table';
import { Act, Choice, List, Sheet, Tabs } from '@/ui';

import { useLook } from './useLook';

const KINDS = [
  ['all', texts.all],
  ['people', texts.people],
  ['organisations', texts.organisations],
] as const;

/** Whom the table shows: all, one kind, or those on a list. */
export function WhoChoice() {
  const { look, setLook } = useLook();
  const lists = useAppSelector(selectLists);
  const nameOf = useListName();
  const [isOpen, setOpen] = useState(false);
  const name = nameOf(look.who);
  return (
    <View className="flex-row items-center gap-6">
      <Tabs
        name={texts.whichCards}
        options={KINDS}
        value={look.who as 'all'}
        onChange={(who) => setLook({ who })}
      />
      {lists.length === 0 ? null : (
        <Act
          label={name ?? texts.list}
          name={name === undefined ? texts.thoseOnList : texts.thoseOnAnotherList(name)}
          icon={List}
          tone={name === undefined ? 'faded' : 'berry'}
          onPress={() => setOpen(true)}
          testID="table-list"
        />
      )}
      <Sheet title={texts.thoseOnList} isOpen={isOpen} onClose={() => setOpen(false)}>
        <Choice
          name={texts.onList}
          options={lists.map((list) => [list.uid, shownAs(list)] as const)}
          value={look.who}
          onChange={(who) => {
            setLook({ who });
            setOpen(false);
          }}
        />
      </Sheet>
    </View>
  );
}
