import { View } from 'react-native';

import { changeBook } from '@/book/commit';
import { added, edited } from '@/book/history';
import { useAppDispatch, useServices } from '@/book/state';
import { type Card, newCard, shownAs, type Uid } from '@/core/card';
import { bareAddresses, withMembers, withoutMembers } from '@/core/lists';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/lists/lists';
import { Act, AtSign, Txt, useColours, UserPlus, X } from '@/ui';

interface BareAddressesProps {
  readonly list: Card;
  readonly onTakeOff: (uid: Uid, name: string) => void;
}

/** Mail addresses on a list that have no card. */
export function BareAddresses({ list, onTakeOff }: BareAddressesProps) {
  const dispatch = useAppDispatch();
  const { newUid, utcNow } = useServices();
  const colours = useColours();
  const makeCard = async (uid: Uid, address: string) => {
    const card: Card = { ...newCard(newUid(), utcNow()), kind: 'individual', emails: { e1: { address } } };
    const label = texts.createdCardForOnAsBefore(address, shownAs(list));
    const edits = [
      added(card),
      edited(list.uid, (now) => withMembers(withoutMembers(now, [uid]), [card.uid])),
    ];
    await dispatch(changeBook({ cause: 'add', label, edits }));
    go(cardPath(card.uid, '/edit'));
  };
  return bareAddresses(list).map(({ uid, address }) => (
    <View key={uid} className="min-h-[61px] flex-row items-center gap-4 border-b border-rule pl-1">
      <View className="w-[45px] items-center">
        <AtSign size={20} strokeWidth={1.75} color={colours.faded} />
      </View>
      <View className="min-w-0 flex-1">
        <Txt size="strong" lines={1}>
          {address}
        </Txt>
        <Txt size="small" tone="faded">
          {texts.onlyAddressOnThisListTitle}
        </Txt>
      </View>
      <Act
        label={texts.createCardFor(address)}
        icon={UserPlus}
        iconOnly
        tone="faded"
        onPress={() => void makeCard(uid, address)}
      />
      <Act
        label={texts.remove(address)}
        icon={X}
        iconOnly
        tone="faded"
        onPress={() => onTakeOff(uid, address)}
      />
    </View>
  ));
}
