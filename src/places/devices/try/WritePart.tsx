import { useState } from 'react';
import { View } from 'react-native';

import { noticed, useAppDispatch, useHubAct } from '@/book';
import type { StandInNow } from '@/core/exchange';
import { foldText } from '@/core/text';
import { openOutside } from '@/platform';
import { Act, Field, Mail, Txt } from '@/ui';

/** Offers while an address is typed. */
const OFFERED = 4;

/** Writing to somebody from the mail client: its own cards complete what is typed, and whoever is new gets a card on it. */
export function WritePart({ now }: { readonly now: StandInNow }) {
  const act = useHubAct();
  const dispatch = useAppDispatch();
  const [to, setTo] = useState('');
  const wanted = foldText(to.trim());
  const all = now.cards.flatMap(({ name, mails }) => mails.map((mail) => ({ name, mail })));
  const offers =
    wanted === '' || all.some(({ mail }) => mail === to.trim())
      ? []
      : all.filter(({ name, mail }) => foldText(`${name} ${mail}`).includes(wanted)).slice(0, OFFERED);
  const address = to.trim();
  const isAddress = /^[^\s@]+@[^\s@]+\.[^\s@]+$/.test(address);
  const write = async () => {
    openOutside(`mailto:${encodeURIComponent(address).replace('%40', '@')}`);
    if (all.some(({ mail }) => mail.toLowerCase() === address.toLowerCase())) return;
    const [box = address] = address.split('@');
    const name = box
      .split(/[._-]+/)
      .map((word) => word.charAt(0).toUpperCase() + word.slice(1))
      .join(' ');
    const made = await act((hub, token) =>
      hub.editHeld(token, now.kind, undefined, { name, phones: [], mails: [address] }),
    );
    if (made) dispatch(noticed({ text: `The mail client made a card of ${name}`, tone: 'plain' }));
  };
  return (
    <View>
      <Field label="Write to" value={to} onChange={setTo} kind="email" testID="write-to" />
      {offers.map(({ name, mail }) => (
        <View key={`${name} ${mail}`} className="flex-row">
          <Act label={`${name}, ${mail}`} tone="ink" onPress={() => setTo(mail)} />
        </View>
      ))}
      <View className="flex-row">
        <Act
          label="Write"
          icon={Mail}
          isDisabled={!isAddress}
          onPress={() => void write()}
          testID="write-mail"
        />
      </View>
      {to !== '' && !isAddress && offers.length === 0 ? (
        <Txt size="small" tone="faded">
          A whole address is wanted, or the beginning of a name that it knows.
        </Txt>
      ) : null}
    </View>
  );
}
