import { useState } from 'react';
import { View } from 'react-native';

import { noticeShown, useAppDispatch } from '@/book/state';
import { useHub, useHubAct } from '@/book/sync';
import type { NewPassport } from '@/core/sync';
import { copyText } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, Code, Copy, Field, LabelledRow, NextAct, OverPage, Txt, usePageTitle } from '@/ui';

import { type PassportDraft, PassportForm, usualPassport } from './PassportForm';
import { devicePath } from './paths';
import { useDirectoryToken } from './useDirectoryToken';

/** A real device gets a passport: its name, what it may have, and then what to type on it. */
export function ConnectPage() {
  usePageTitle('Connect a device');
  const { pairing } = useHub();
  const act = useHubAct();
  const tokenFor = useDirectoryToken();
  const [name, setName] = useState('');
  const [draft, setDraft] = useState<PassportDraft>(usualPassport);
  const [made, setMade] = useState<NewPassport>();
  const save = async () => {
    const { tag, ...rest } = draft;
    const wish = { ...rest, name: name.trim(), ...(tag === '' ? {} : { tag }) };
    const directoryToken = await tokenFor(draft.directory);
    setMade(await act((hub, token) => hub.addDevice(token, { ...wish, ...directoryToken })));
  };
  return (
    <OverPage
      title="Connect a device"
      backLabel="Devices"
      onBack={() => go('/devices')}
      className="max-w-[640px] gap-5"
      testID="connect-page"
    >
      {!pairing ? (
        <Txt tone="ochre">This browser has to be paired with the hub first, under Devices.</Txt>
      ) : made ? (
        <Made made={made} name={name.trim()} />
      ) : (
        <>
          <Field
            label="What the device is called"
            value={name}
            onChange={setName}
            placeholder="My phone"
            isFirst
            testID="device-name"
          />
          <PassportForm draft={draft} onChange={(some) => setDraft({ ...draft, ...some })} />
          <NextAct
            label="Create its passport"
            isDisabled={name.trim() === ''}
            onPress={() => void save()}
            testID="make-passport"
          />
          <View className="flex-row">
            <Act
              label="Connect to another server instead"
              tone="faded"
              onPress={() => go('/devices/server')}
              testID="to-server"
            />
          </View>
        </>
      )}
    </OverPage>
  );
}

/** Points of the code's side. */
const CODE_SIZE = 220;

/** What to type on the device; the password is told once. */
function Made({ made, name }: { readonly made: NewPassport; readonly name: string }) {
  const dispatch = useAppDispatch();
  const text = `CardDAV\nServer: ${made.url}\nUser name: ${made.user}\nPassword: ${made.password}\n`;
  const copy = async () => {
    if (await copyText(text)) dispatch(noticeShown({ text: 'Copied the sign-in details', tone: 'plain' }));
  };
  return (
    <View className="gap-4" testID="passport-made">
      <Txt>On the device, add a CardDAV account and enter these. The password is shown only once.</Txt>
      <View>
        <LabelledRow label="Server">
          <Txt isFigures>{made.url}</Txt>
        </LabelledRow>
        <LabelledRow label="User name">
          <Txt isFigures>{made.user}</Txt>
        </LabelledRow>
        <LabelledRow label="Password">
          <Txt isFigures testID="password">
            {made.password}
          </Txt>
        </LabelledRow>
      </View>
      <Code text={text} name="Server, user name and password of this passport" size={CODE_SIZE} />
      <View className="flex-row flex-wrap gap-x-6">
        <Act label="Copy the sign-in details" icon={Copy} onPress={() => void copy()} />
        <Act label="Done" onPress={() => go(devicePath(name))} testID="passport-done" />
      </View>
      <Txt size="small" tone="faded">
        This hub answers on this machine only. A device elsewhere reaches it through a server with TLS in
        front of it.
      </Txt>
    </View>
  );
}
