import { useState } from 'react';
import { View } from 'react-native';

import { noteOwnAddress } from '@/book/settings';
import { noticeShown, selectSettings, useAppDispatch, useAppSelector, useServices } from '@/book/state';
import { useHubAct } from '@/book/sync';
import { foldText } from '@/core/base';
import type { StandInStatus } from '@/core/sync';
import { mailDate, writeMessage } from '@/core/write';
import { nowMs } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/try';
import { Act, Field, Mail, Txt } from '@/ui';

/** Offers while an address is typed. */
const OFFERED = 4;
const ADDRESS = /^[^\s@]+@[^\s@]+\.[^\s@]+$/;

/** Somebody whom a message from the mail client goes to. */
export interface ReplyTo {
  readonly name: string;
  readonly address: string;
  readonly subject: string;
}

interface WritePartProps {
  readonly now: StandInStatus;
  /** Whom it begins with. */
  readonly to?: ReplyTo | undefined;
  readonly onSent: () => void;
}

/** Writing to somebody from the mail client: its own cards complete what is typed, and whoever is new gets a card on it. */
export function WritePart({ now, to: first, onSent }: WritePartProps) {
  const act = useHubAct();
  const dispatch = useAppDispatch();
  const { newUid } = useServices();
  const own = useAppSelector(selectSettings).ownAddresses;
  const [from, setFrom] = useState(own[0] ?? '');
  const [to, setTo] = useState(first?.address ?? '');
  const [subject, setSubject] = useState(first?.subject ?? '');
  const [body, setBody] = useState('');
  const address = to.trim();
  const wanted = foldText(address);
  const all = now.cards.flatMap(({ name, mails }) => mails.map((mail) => ({ name, mail })));
  const known = all.find(({ mail }) => mail.toLowerCase() === address.toLowerCase());
  const offers =
    wanted === '' || known
      ? []
      : all.filter(({ name, mail }) => foldText(`${name} ${mail}`).includes(wanted)).slice(0, OFFERED);
  const isReady = ADDRESS.test(address) && ADDRESS.test(from.trim());
  const send = async () => {
    const sender = from.trim();
    dispatch(noteOwnAddress(sender));
    const message = writeMessage(
      { to: [{ name: known?.name ?? first?.name ?? '', address }], cc: [], bcc: [], subject, body },
      {
        from: { name: '', address: sender },
        date: mailDate(nowMs()),
        messageId: `${newUid().slice(-36)}@cordialis.example`,
      },
    );
    const sent = await act(async (hub, token) => {
      await hub.sendMails(token, [message]);
      return true;
    });
    if (sent !== true) return;
    dispatch(noticeShown({ text: texts.inOutbox(subject === '' ? texts.message : subject), tone: 'plain' }));
    onSent();
  };
  return (
    <View className="gap-2" testID="write-part">
      {own.length > 0 ? null : (
        <Field
          label={shared.yourOwnAddressUsed}
          value={from}
          onChange={setFrom}
          kind="email"
          testID="write-from"
        />
      )}
      <Field label={texts.to} value={to} onChange={setTo} kind="email" isFirst={!first} testID="write-to" />
      {offers.map(({ name, mail }) => (
        <View key={`${name} ${mail}`} className="flex-row">
          <Act label={`${name}, ${mail}`} tone="ink" onPress={() => setTo(mail)} />
        </View>
      ))}
      {to !== '' && !ADDRESS.test(address) && offers.length === 0 ? (
        <Txt size="small" tone="faded">
          {texts.enterFullAddressOrBeginning}
        </Txt>
      ) : null}
      <Field label={texts.subject} value={subject} onChange={setSubject} testID="write-subject" />
      <Field label={texts.text} value={body} onChange={setBody} isLong testID="write-text" />
      <View className="flex-row gap-x-6">
        <Act
          label={texts.send}
          icon={Mail}
          isDisabled={!isReady}
          onPress={() => void send()}
          testID="write-mail"
        />
        <Act label={texts.cancel} tone="faded" onPress={onSent} />
      </View>
    </View>
  );
}
