import { useState } from 'react';
import { View } from 'react-native';

import { changeBook, changeMany } from '@/book/commit';
import { added, edited } from '@/book/history';
import { foundBy, useFoundByName } from '@/book/lists';
import { noticeShown, selectCardsByUid, useAppDispatch, useAppSelector, useServices } from '@/book/state';
import { type Card, newCard, parseName, shownAs, type Uid } from '@/core/card';
import { withAddress, withMembers, wouldContainItself } from '@/core/lists';
import { texts } from '@/texts/lists/lists';
import { type FieldOffer, OfferField } from '@/ui';

/** Cards offered at once. */
const OFFERED = 6;

/** "Bo Ek bo@example.org" or "Bo Ek <bo@example.org>": a name with a mail address behind it. */
const NAME_AND_MAIL = /^(.*?)[\s,;]*<?([^\s<>,;]+@[^\s<>,;]+)>?\s*$/;

/** Puts people and lists on a list by typing; a name nobody has makes a card on the spot. */
export function AddMembers({ list }: { readonly list: Card }) {
  const dispatch = useAppDispatch();
  const { newUid, utcNow } = useServices();
  const byUid = useAppSelector(selectCardsByUid);
  const [text, setText] = useState('');
  const typed = text.trim();
  const found = useFoundByName(typed, OFFERED + 20);
  const offered = (found ?? [])
    .filter(({ uid }) => uid !== list.uid && list.members?.[uid] !== true)
    .slice(0, OFFERED);
  const put = (uid: Uid, name: string) => {
    if (wouldContainItself(list, uid, (one) => byUid.get(one)))
      return void dispatch(
        noticeShown({
          text: texts.hasOnItAlready(name, shownAs(list)),
          tone: 'error',
        }),
      );
    setText('');
    void dispatch(
      changeMany({
        cards: [list],
        label: texts.addedTo(name, shownAs(list)),
        change: (one) => withMembers(one, [uid]),
      }),
    );
  };
  const make = () => {
    const card = cardFrom(typed, newUid(), utcNow());
    setText('');
    void dispatch(
      changeBook({
        cause: 'add',
        label: texts.createdCardForOn(shownAs(card), shownAs(list)),
        edits: [added(card), edited(list.uid, (now) => withMembers(now, [card.uid]))],
      }),
    );
  };
  const [, , bareMail] = NAME_AND_MAIL.exec(typed) ?? [];
  const putAddress = (address: string) => {
    setText('');
    void dispatch(
      changeMany({
        cards: [list],
        label: texts.addedToNamed(address, shownAs(list)),
        change: (one) => withAddress(one, address),
      }),
    );
  };
  const offers: FieldOffer[] = offered.map((hit) => ({
    key: hit.uid,
    title: hit.shown,
    second: hit.kind === 'list' ? texts.list : foundBy(hit),
    name: texts.addToItNamed(hit.shown),
    isSure: hit.isNear !== true && bareMail === undefined,
    onPress: () => put(hit.uid, hit.shown),
  }));
  if (found)
    offers.push({
      key: 'new',
      title: texts.newCard(typed),
      second: texts.addsCardToBook,
      name: texts.createCardForAndAdd(typed),
      // Where somebody is called nearly so, they may be meant.
      isSure: found.length === 0,
      onPress: make,
    });
  if (bareMail !== undefined)
    offers.push({
      key: 'address',
      title: bareMail,
      second: texts.justAddressOnThisList,
      name: texts.addOnlyToIt(bareMail),
      isSure: false,
      onPress: () => putAddress(bareMail),
    });
  return (
    <View>
      <OfferField
        label={texts.addToIt}
        value={text}
        onChange={setText}
        placeholder={texts.nameListOrNew}
        testID="add-member"
        offers={offers}
        isKnown={found !== undefined}
      />
    </View>
  );
}

function cardFrom(typed: string, uid: Uid, now: string): Card {
  const [, before = typed, mail] = NAME_AND_MAIL.exec(typed) ?? [];
  const name = parseName(before.trim());
  return {
    ...newCard(uid, now),
    kind: 'individual',
    ...(name ? { name } : {}),
    ...(mail === undefined ? {} : { emails: { e1: { address: mail } } }),
  };
}
