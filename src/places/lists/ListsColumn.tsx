import { useState } from 'react';
import { ScrollView, View } from 'react-native';

import { changeMany } from '@/book/commit';
import { useListCounts, useListName } from '@/book/lists';
import { selectLists, useAppDispatch, useAppSelector } from '@/book/state';
import { type Card, initialsOf, shownAs, type Uid } from '@/core/card';
import { formatRule, parseRule } from '@/core/find';
import { withMembers } from '@/core/lists';
import { listPath, uidFromPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/lists/lists';
import { Act, ListRow, ListStamp, Plus, Txt } from '@/ui';

import { DropCard } from './dragCard';
import { NewListSheet } from './NewListSheet';
import { TagsPart } from './TagsPart';

/** All lists by name, with how many are on each. */
export function ListsColumn({ openPart }: { readonly openPart: string }) {
  const lists = useAppSelector(selectLists);
  const counts = useListCounts(lists.map(({ uid }) => uid));
  const [isNew, setNew] = useState(false);
  const openUid = openPart === '' ? undefined : uidFromPath(decodeURIComponent(openPart));
  const nameOf = useListName();
  const dispatch = useAppDispatch();
  const drop = (list: Card, uid: Uid) =>
    void dispatch(
      changeMany({
        cards: [list],
        label: texts.addedOneMoreTo(shownAs(list)),
        change: (one) => withMembers(one, [uid]),
      }),
    );
  const secondOf = (list: Card) => {
    const rule = parseRule(list['cordialis.example:rule']);
    const count = counts[list.uid];
    return [count === undefined ? '' : shared.cardCount(count), rule ? formatRule(rule, nameOf) : '']
      .filter(Boolean)
      .join(' · ');
  };
  return (
    <View className="flex-1">
      <View className="flex-row items-center justify-between border-b border-rule px-5 pb-2 pt-4">
        <Txt font="serif" size="head" heading={1}>
          {texts.lists}
        </Txt>
        <Act label={texts.newList} icon={Plus} onPress={() => setNew(true)} testID="new-list" />
      </View>
      <ScrollView testID="lists">
        {lists.map((list) => (
          <View key={list.uid} className="pl-4">
            <DropCard
              onDrop={parseRule(list['cordialis.example:rule']) ? undefined : (uid) => drop(list, uid)}
            >
              <ListRow
                title={shownAs(list)}
                second={secondOf(list)}
                stamp={<ListStamp initials={initialsOf(list)} />}
                isChosen={list.uid === openUid}
                href={listPath(list.uid)}
                onPress={() => go(listPath(list.uid))}
              />
            </DropCard>
          </View>
        ))}
        {lists.length === 0 ? (
          <View className="px-5 pt-4">
            <Txt font="serifItalic" size="strong" tone="faded">
              {texts.peopleYouHavePicked}
            </Txt>
          </View>
        ) : null}
        <TagsPart />
      </ScrollView>
      {isNew ? <NewListSheet onClose={() => setNew(false)} /> : null}
    </View>
  );
}
