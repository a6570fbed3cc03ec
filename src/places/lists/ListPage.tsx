import { type ComponentType, Suspense, useState } from 'react';
import { ScrollView, View } from 'react-native';

import { useOnList } from '@/book/lists';
import { choiceMade, useAppDispatch, useCard } from '@/book/state';
import { writeTo } from '@/book/write';
import { type Card, initialsOf, shownAs, type Uid } from '@/core/card';
import { parseRule } from '@/core/find';
import { isList } from '@/core/lists';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/lists/lists';
import {
  Act,
  Coming,
  Ellipsis,
  EmptyPlace,
  ListChecks,
  ListStamp,
  Mail,
  PageBar,
  Panes,
  Txt,
  usePageTitle,
  useWide,
} from '@/ui';

import { AddMembers } from './AddMembers';
import { ListNote } from './ListNote';
import { ListSheet } from './ListSheet';
import { Members, type OpenMember } from './Members';
import { RulePart } from './RulePart';

interface ListPageProps {
  readonly uid: Uid;
  /** What shows a member beside the list, where there is room. */
  readonly CardPane: ComponentType<{ readonly uid: Uid }>;
}

/** One list: who is on it, and why. */
export function ListPage({ uid, CardPane }: ListPageProps) {
  const { isWide, hasRoom } = useWide();
  const list = useCard(uid);
  usePageTitle(list ? shownAs(list) : texts.list);
  if (list === undefined) return null;
  return (
    <View className="flex-1" testID="list-page">
      {isWide ? null : <PageBar backLabel={texts.lists} onBack={() => go('/lists')} />}
      {list === null || !isList(list) ? (
        <EmptyPlace title={texts.listNotFound} text={texts.itMayHaveBeen} />
      ) : hasRoom ? (
        <WithMember list={list} CardPane={CardPane} />
      ) : (
        <OpenList list={list} />
      )}
    </View>
  );
}

/** A list, and beside it the card of the member that is chosen; of the first until one is. */
function WithMember({ list, CardPane }: Pick<ListPageProps, 'CardPane'> & { readonly list: Card }) {
  const uids = useOnList(list.uid) ?? [];
  const [chosen, setChosen] = useState<Uid>();
  const shown = chosen !== undefined && uids.includes(chosen) ? chosen : uids[0];
  return (
    <Panes
      name="list"
      width={520}
      min={400}
      list={<OpenList list={list} open={{ uid: shown, set: setChosen }} />}
    >
      <Suspense fallback={null}>{shown === undefined ? null : <CardPane uid={shown} />}</Suspense>
    </Panes>
  );
}

interface OpenListProps {
  readonly list: Card;
  /** The member whose card is open beside the list; undefined where members lead to their pages. */
  readonly open?: OpenMember;
}

function OpenList({ list, open }: OpenListProps) {
  const dispatch = useAppDispatch();
  const { isWide } = useWide();
  const uids = useOnList(list.uid);
  const rule = parseRule(list['cordialis.example:rule']);
  const [isMore, setMore] = useState(false);
  const chooseAll = () => {
    dispatch(choiceMade(uids ?? []));
    go('/book');
  };
  return (
    <ScrollView>
      <View className={`flex-row gap-4 bg-leaf py-5 ${isWide ? 'px-6' : 'px-5'}`}>
        <ListStamp initials={initialsOf(list)} size="card" />
        <View className="min-w-0 flex-1 justify-center gap-1">
          <Txt font="serif" size="head" heading={1} testID="list-title">
            {shownAs(list)}
          </Txt>
          <Txt tone="faded" testID="list-count">
            {uids === undefined ? ' ' : shared.cardCount(uids.length)}
          </Txt>
        </View>
      </View>
      <View className={`max-w-[720px] gap-4 pb-8 ${isWide ? 'px-6' : 'px-5'}`}>
        <View className="flex-row gap-5 border-b border-rule py-2">
          <Act
            label={texts.write}
            name={texts.writeToEverybodyOnThisList}
            icon={Mail}
            isDisabled={uids === undefined || uids.length === 0}
            onPress={() => void dispatch(writeTo([{ kind: 'list', uid: list.uid }])).then(() => go('/write'))}
            testID="write-list"
          />
          <Act
            label={shared.selectAll}
            name={texts.selectAllOnThisList}
            icon={ListChecks}
            isDisabled={uids === undefined || uids.length === 0}
            onPress={chooseAll}
            testID="choose-list"
          />
          <Act
            label={texts.more}
            name={texts.moreToDoWithThisList}
            icon={Ellipsis}
            onPress={() => setMore(true)}
            testID="list-more"
          />
        </View>
        {rule ? <RulePart list={list} rule={rule} /> : <AddMembers list={list} />}
        {uids ? (
          <>
            <Members list={list} uids={uids} rule={rule} {...(open && { open })} />
            <ListNote list={list} />
          </>
        ) : (
          <Coming />
        )}
      </View>
      {isMore ? <ListSheet list={list} uids={uids ?? []} onClose={() => setMore(false)} /> : null}
    </ScrollView>
  );
}
