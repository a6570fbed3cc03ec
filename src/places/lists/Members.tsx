import { useState } from 'react';
import { View } from 'react-native';

import { changeMany } from '@/book/commit';
import { selectCardsByUid, selectRow, useAppDispatch, useAppSelector, usePhoto } from '@/book/state';
import { type Card, initialsOf, shownAs, type Uid } from '@/core/card';
import type { Rule } from '@/core/find';
import { isList, isRuleList, memberUids, withoutMembers } from '@/core/lists';
import { cardPath, listPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/lists/lists';
import { Act, AtSign, CircleHelp, ListRow, ListStamp, Stamp, Txt, X } from '@/ui';

import { BareAddresses } from './BareAddresses';
import { DragCard } from './dragCard';
import { ReachSheet, reachText } from './ReachSheet';
import { WhySheet } from './WhySheet';

/** The member whose card is open beside the list. */
export interface OpenMember {
  readonly uid: Uid | undefined;
  readonly set: (uid: Uid) => void;
}

interface MembersProps {
  readonly list: Card;
  /** Everybody on it, in the order of the Book. */
  readonly uids: readonly Uid[];
  readonly rule: Rule | undefined;
  /** Undefined where members lead to their pages. */
  readonly open?: OpenMember;
}

/** Rows drawn at once; the rest is a press away. */
const SHOWN = 100;

/** Who is on a list: lists on it first, then people; those who come through another list say so. */
export function Members({ list, uids, rule, open }: MembersProps) {
  const dispatch = useAppDispatch();
  const byUid = useAppSelector(selectCardsByUid);
  const [shown, setShown] = useState(SHOWN);
  const [asked, setAsked] = useState<Uid>();
  const [reached, setReached] = useState<Uid>();
  const reachedCard = reached === undefined ? undefined : byUid.get(reached);
  const lists = memberUids(list).flatMap((uid) => {
    const card = byUid.get(uid);
    return card && isList(card) ? [card] : [];
  });
  const takeOff = (uid: Uid, name: string) =>
    void dispatch(
      changeMany({
        cards: [list],
        label: texts.removedFrom(name, shownAs(list)),
        change: (one) => withoutMembers(one, [uid]),
      }),
    );
  const throughOf = (uid: Uid) =>
    lists.filter((one) => one.members?.[uid] === true || isRuleList(one)).map(shownAs);
  return (
    <View testID="members">
      {lists.map((one) => (
        <View key={one.uid} className="flex-row items-center border-b border-rule">
          <View className="min-w-0 flex-1">
            <ListRow
              title={shownAs(one)}
              hasLine={false}
              second={texts.listOnThisList}
              stamp={<ListStamp initials={initialsOf(one)} />}
              href={listPath(one.uid)}
              onPress={() => go(listPath(one.uid))}
            />
          </View>
          <Act
            label={texts.removeNamed(shownAs(one))}
            icon={X}
            iconOnly
            tone="faded"
            onPress={() => takeOff(one.uid, shownAs(one))}
          />
        </View>
      ))}
      {uids.slice(0, shown).map((uid) => {
        const isPicked = list.members?.[uid] === true;
        return (
          <MemberRow
            key={uid}
            uid={uid}
            open={open}
            onReach={isPicked ? () => setReached(uid) : undefined}
            reach={isPicked ? reachText(list, byUid.get(uid)) : ''}
            through={isPicked || rule ? [] : throughOf(uid)}
            onTakeOff={isPicked ? (name) => takeOff(uid, name) : undefined}
            onWhy={rule ? () => setAsked(uid) : undefined}
          />
        );
      })}
      <BareAddresses list={list} onTakeOff={takeOff} />
      {uids.length > shown ? (
        <View className="flex-row">
          <Act label={texts.showMore(uids.length - shown)} onPress={() => setShown(shown + 1000)} />
        </View>
      ) : null}
      {uids.length === 0 && lists.length === 0 ? <Txt tone="faded">{texts.nobodyIsOnItYet}</Txt> : null}
      {reachedCard ? (
        <ReachSheet list={list} member={reachedCard} onClose={() => setReached(undefined)} />
      ) : null}
      {asked !== undefined && rule ? (
        <WhySheet uid={asked} rule={rule} onClose={() => setAsked(undefined)} />
      ) : null}
    </View>
  );
}

interface MemberRowProps {
  readonly uid: Uid;
  readonly open: OpenMember | undefined;
  /** The lists on this one that bring them along. */
  readonly through: readonly string[];
  readonly onTakeOff: ((name: string) => void) | undefined;
  readonly onWhy: (() => void) | undefined;
  /** The address or number this list uses, where that isn't the preferred one. */
  readonly reach: string;
  /** Chooses that; undefined where the list has no say. */
  readonly onReach: (() => void) | undefined;
}

function MemberRow({ uid, open, through, onTakeOff, onWhy, reach, onReach }: MemberRowProps) {
  const row = useAppSelector((state) => selectRow(state, uid));
  const photo = usePhoto(row?.photo, 'row');
  if (!row) return null;
  const second =
    through.length === 0
      ? [reach, row.second].filter(Boolean).join(' · ')
      : texts.through(through.join(', '));
  return (
    <View className="flex-row items-center border-b border-rule">
      <DragCard uid={uid}>
        <ListRow
          title={row.shown}
          hasLine={false}
          second={second}
          stamp={<Stamp initials={row.initials} isOrg={row.isOrg} photo={photo} />}
          href={cardPath(uid)}
          isChosen={open?.uid === uid}
          onPress={() => (open ? open.set(uid) : go(cardPath(uid)))}
        />
      </DragCard>
      {onReach ? (
        <Act
          label={texts.whichAddressOfThisList(row.shown)}
          icon={AtSign}
          iconOnly
          tone="faded"
          onPress={onReach}
        />
      ) : null}
      {onTakeOff ? (
        <Act
          label={texts.removePerson(row.shown)}
          icon={X}
          iconOnly
          tone="faded"
          onPress={() => onTakeOff(row.shown)}
        />
      ) : null}
      {onWhy ? (
        <Act
          label={texts.whyIsOnItNamed(row.shown)}
          icon={CircleHelp}
          iconOnly
          tone="faded"
          onPress={onWhy}
        />
      ) : null}
    </View>
  );
}
