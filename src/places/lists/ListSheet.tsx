import { useState } from 'react';
import { View } from 'react-native';

import { changeBook } from '@/book/commit';
import { added, edited, removed } from '@/book/history';
import { selectLists, useAppDispatch, useAppSelector, useServices } from '@/book/state';
import { type Card, shownAs, type Uid } from '@/core/card';
import { type Combination, combine, newList, withMembers } from '@/core/lists';
import { listPath, localDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/lists/lists';
import { Act, Choice, Field, NextAct, Sheet, Trash, Txt } from '@/ui';

import { RhythmPart } from './RhythmPart';

interface ListSheetProps {
  readonly list: Card;
  readonly uids: readonly Uid[];
  readonly onClose: () => void;
}

/** What else can be done with a list: another name, a third list out of two, deleting it. */
export function ListSheet({ list, uids, onClose }: ListSheetProps) {
  const dispatch = useAppDispatch();
  const name = shownAs(list);
  const [text, setText] = useState(name);
  const rename = () => {
    onClose();
    void dispatch(
      changeBook({
        cause: 'edit',
        label: texts.renamedTo(name, text.trim()),
        edits: [edited(list.uid, (now) => ({ ...now, name: { full: text.trim() } }))],
      }),
    );
  };
  const remove = async () => {
    onClose();
    await dispatch(changeBook({ cause: 'delete', label: texts.deletedList(name), edits: [removed(list)] }));
    go('/lists');
  };
  return (
    <Sheet title={name} isOpen onClose={onClose}>
      <View className="gap-5">
        <View className="flex-row items-end gap-4">
          <View className="min-w-0 flex-1">
            <Field label={texts.name} value={text} onChange={setText} testID="rename-list" />
          </View>
          <Act
            label={texts.rename}
            isDisabled={text.trim() === '' || text.trim() === name}
            onPress={rename}
            testID="do-rename-list"
          />
        </View>
        <RhythmPart list={list} />
        <CombinePart list={list} uids={uids} onClose={onClose} />
        <View>
          <View className="flex-row">
            <Act
              label={texts.deleteList}
              icon={Trash}
              tone="brick"
              onPress={() => void remove()}
              testID="delete-list"
            />
          </View>
          <Txt size="small" tone="faded">
            {texts.peopleOnItStay}
          </Txt>
        </View>
      </View>
    </Sheet>
  );
}

/** Makes a third list out of this one and another. */
function CombinePart({ list, uids, onClose }: ListSheetProps) {
  const dispatch = useAppDispatch();
  const { search, newUid, utcNow } = useServices();
  const others = useAppSelector(selectLists).filter(({ uid }) => uid !== list.uid);
  const [otherUid, setOther] = useState<Uid>();
  const [how, setHow] = useState<Combination>('either');
  const other = others.find(({ uid }) => uid === otherUid);
  if (others.length === 0) return null;
  const make = async () => {
    if (!other) return;
    const second = await search.onList(other.uid, localDay());
    const label = combinedName(shownAs(list), shownAs(other), how);
    const made = withMembers(newList(newUid(), label, utcNow()), combine(uids, second, how));
    await dispatch(changeBook({ cause: 'add', label: texts.createdList(label), edits: [added(made)] }));
    onClose();
    go(listPath(made.uid));
  };
  return (
    <View className="gap-2">
      <Txt size="small" font="sansBold" tone="faded" heading={3}>
        {texts.combineThisListWith}
      </Txt>
      <Choice
        name={texts.otherList}
        options={others.map((one) => [one.uid, shownAs(one)] as const)}
        value={otherUid}
        onChange={setOther}
      />
      {other ? (
        <>
          <Choice
            name={texts.whoIsOnCombined}
            options={[
              ['either', texts.everybodyOnEither],
              ['both', texts.onlyThoseOnBoth],
              ['firstOnly', texts.thoseOnWithoutThose(shownAs(list), shownAs(other))],
            ]}
            value={how}
            onChange={setHow}
          />
          <NextAct label={texts.createCombinedList} onPress={() => void make()} testID="combine-lists" />
        </>
      ) : null}
    </View>
  );
}

function combinedName(first: string, second: string, how: Combination): string {
  if (how === 'either') return texts.or(first, second);
  return how === 'both' ? texts.and(first, second) : texts.without(first, second);
}
