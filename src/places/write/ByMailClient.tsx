import { useState } from 'react';
import { View } from 'react-native';

import { noteOwnAddress } from '@/book/settings';
import { noticeShown, useAppDispatch } from '@/book/state';
import { useHub, useHubAct, useHubAnswer } from '@/book/sync';
import { texts as shared } from '@/texts/base/shared';
import { texts as wording } from '@/texts/write/write';
import { Act, Field, Send } from '@/ui';

interface ByMailClientProps {
  /** The address that messages are from; undefined where none is known yet. */
  readonly own: string | undefined;
  readonly isDisabled: boolean;
  /** How many messages it is. */
  readonly messages: number;
  /** The messages as files (RFC 5322). */
  readonly textsFrom: (address: string) => Promise<string[]>;
  readonly onSent: () => void;
}

/** Sending through the mail client that ships with the product, where it is in use: what goes stands among the talks by itself. */
export function ByMailClient(props: ByMailClientProps) {
  return useHub().pairing ? <WhereInUse {...props} /> : null;
}

function WhereInUse({ own, isDisabled, messages, textsFrom, onSent }: ByMailClientProps) {
  const { value } = useHubAnswer('devices', (hub, token) => hub.devices(token));
  const act = useHubAct();
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState('');
  if (value?.devices.some(({ standIn }) => standIn === 'mail') !== true) return null;
  const from = own ?? typed.trim().toLowerCase();
  const send = async () => {
    const texts = await textsFrom(from);
    const isSent = await act(async (hub, token) => {
      await hub.sendMails(token, texts);
      return true;
    });
    if (isSent !== true) return;
    dispatch(noteOwnAddress(from));
    dispatch(
      noticeShown({
        text: wording.inOutboxMessages(texts.length),
        tone: 'plain',
      }),
    );
    onSent();
  };
  return (
    <View>
      {own === undefined ? (
        <Field
          label={shared.yourOwnAddressUsed}
          value={typed}
          onChange={setTyped}
          kind="email"
          testID="send-from"
        />
      ) : null}
      <View className="flex-row">
        <Act
          label={messages > 1 ? wording.sendSomeWithSimulatedMail(messages) : wording.sendWithSimulatedMail}
          icon={Send}
          isDisabled={isDisabled || !/^[^\s@]+@[^\s@]+$/.test(from)}
          onPress={() => void send()}
          testID="mail-send"
        />
      </View>
    </View>
  );
}
