import { useEffect, useState } from 'react';
import { Pressable, View } from 'react-native';

import {
  changeBook,
  changeMany,
  noticed,
  selectCardsByUid,
  useAppDispatch,
  useAppSelector,
  useServices,
} from '@/book';
import { type Card, newCard, parseName, shownAs, type Uid } from '@/core/card';
import { withAddress, withMembers, wouldHoldItself } from '@/core/lists';
import type { Hit } from '@/core/search';
import { localDay } from '@/platform';
import { Field, Txt } from '@/ui';

/** Cards offered at once. */
const OFFERED = 6;

/** "Bo Ek bo@example.org" or "Bo Ek <bo@example.org>": a name with a mail address behind it. */
const NAME_AND_MAIL = /^(.*?)[\s,;]*<?([^\s<>,;]+@[^\s<>,;]+)>?\s*$/;

/** Puts people and lists on a list by typing; a name nobody has makes a card on the spot. */
export function AddMembers({ list }: { readonly list: Card }) {
  const dispatch = useAppDispatch();
  const { search, newUid, utcNow } = useServices();
  const byUid = useAppSelector(selectCardsByUid);
  const [text, setText] = useState('');
  const [found, setFound] = useState<{ text: string; hits: readonly Hit[] }>({ text: '', hits: [] });
  const typed = text.trim();
  useEffect(() => {
    let isCurrent = true;
    if (typed !== '')
      void search.find(typed, OFFERED + 20, localDay()).then(({ hits }) => {
        if (isCurrent) setFound({ text: typed, hits });
      });
    return () => {
      isCurrent = false;
    };
  }, [search, typed]);
  const offered = (found.text === typed ? found.hits : [])
    .filter(({ uid }) => uid !== list.uid && list.members?.[uid] !== true)
    .slice(0, OFFERED);
  const put = (uid: Uid, name: string) => {
    if (wouldHoldItself(list, uid, (one) => byUid.get(one)))
      return void dispatch(
        noticed({ text: `${name} has ${shownAs(list)} on it already, so it can’t go on it`, tone: 'error' }),
      );
    setText('');
    void dispatch(
      changeMany({
        cards: [list],
        label: `Put ${name} on ${shownAs(list)}`,
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
        label: `Made a card for ${shownAs(card)} and put it on ${shownAs(list)}`,
        upserts: [card, withMembers(list, [card.uid])],
      }),
    );
  };
  const [, , bareMail] = NAME_AND_MAIL.exec(typed) ?? [];
  const putAddress = (address: string) => {
    setText('');
    void dispatch(
      changeMany({
        cards: [list],
        label: `Put ${address} on ${shownAs(list)}`,
        change: (one) => withAddress(one, address),
      }),
    );
  };
  return (
    <View>
      <Field
        label="Put on it"
        value={text}
        onChange={setText}
        placeholder="A name, a list, or a new name and mail"
        testID="add-member"
      />
      {offered.map((hit) => (
        <Offer
          key={hit.uid}
          title={hit.shown}
          second={hit.kind === 'list' ? 'List' : hit.field === 'name' ? '' : hit.value}
          name={`Put ${hit.shown} on it`}
          onPress={() => put(hit.uid, hit.shown)}
        />
      ))}
      {typed !== '' && found.text === typed ? (
        <Offer
          title={`New card: ${typed}`}
          second="Goes into the Book and on this list"
          name={`Make a card for ${typed} and put it on`}
          onPress={make}
        />
      ) : null}
      {bareMail === undefined ? null : (
        <Offer
          title={bareMail}
          second="Only an address on this list, without a card"
          name={`Put only ${bareMail} on it`}
          onPress={() => putAddress(bareMail)}
        />
      )}
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

interface OfferProps {
  readonly title: string;
  readonly second: string;
  readonly name: string;
  readonly onPress: () => void;
}

function Offer({ title, second, name, onPress }: OfferProps) {
  return (
    <Pressable
      role="button"
      aria-label={name}
      onPress={onPress}
      className="min-h-[44px] justify-center border-b border-rule pl-3 hover:bg-leaf active:bg-leaf"
    >
      <Txt font="serif" size="strong" lines={1}>
        {title}
      </Txt>
      {second === '' ? null : (
        <Txt size="small" tone="faded" lines={1}>
          {second}
        </Txt>
      )}
    </Pressable>
  );
}
