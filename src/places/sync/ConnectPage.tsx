import { useState } from 'react';
import { View } from 'react-native';

import { noticeShown, useAppDispatch } from '@/book/state';
import { useHub, useHubAct } from '@/book/sync';
import type { NewPassport } from '@/core/sync';
import { copyText } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/sync';
import { Act, Code, Copy, Field, LabelledRow, NextAct, OverPage, Txt, usePageTitle } from '@/ui';

import { type PassportDraft, PassportForm, usualPassport } from './PassportForm';
import { devicePath } from './paths';
import { useDirectoryToken } from './useDirectoryToken';

/** Connecting a real device: its name, its passport, then what to enter on it. */
export function ConnectPage() {
  usePageTitle(shared.connectDevice);
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
      title={shared.connectDevice}
      backLabel={texts.devices}
      onBack={() => go('/devices')}
      className="max-w-[640px] gap-5"
      isFilledIn
      testID="connect-page"
    >
      {!pairing ? (
        <Txt tone="ochre">{shared.thisBrowserHasToBePaired}</Txt>
      ) : made ? (
        <Made made={made} name={name.trim()} />
      ) : (
        <>
          <Field
            label={texts.whatDeviceIsCalled}
            value={name}
            onChange={setName}
            placeholder={texts.myPhone}
            isFirst
            testID="device-name"
          />
          <PassportForm draft={draft} onChange={(some) => setDraft({ ...draft, ...some })} />
          <NextAct
            label={texts.createItsPassport}
            isDisabled={name.trim() === ''}
            onPress={() => void save()}
            testID="make-passport"
          />
          <View className="flex-row">
            <Act
              label={texts.connectToAnotherServer}
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

/** What to enter on the device; the password is shown once. */
function Made({ made, name }: { readonly made: NewPassport; readonly name: string }) {
  const dispatch = useAppDispatch();
  const text = texts.carddavServerUserName(made.url, made.user, made.password);
  const copy = async () => {
    if (await copyText(text)) dispatch(noticeShown({ text: texts.copiedSignInDetails, tone: 'plain' }));
  };
  return (
    <View className="gap-4" testID="passport-made">
      <Txt>{texts.onDeviceAddCarddav}</Txt>
      <View>
        <LabelledRow label={texts.server}>
          <Txt isFigures>{made.url}</Txt>
        </LabelledRow>
        <LabelledRow label={texts.userName}>
          <Txt isFigures>{made.user}</Txt>
        </LabelledRow>
        <LabelledRow label={texts.password}>
          <Txt isFigures testID="password">
            {made.password}
          </Txt>
        </LabelledRow>
      </View>
      <Code text={text} name={texts.serverUserNameAnd} size={CODE_SIZE} />
      <View className="flex-row flex-wrap gap-x-6">
        <Act label={texts.copySignInDetails} icon={Copy} onPress={() => void copy()} />
        <Act label={texts.done} onPress={() => go(devicePath(name))} testID="passport-done" />
      </View>
      <Txt size="small" tone="faded">
        {texts.thisHubAnswersOnThisMachine}
      </Txt>
    </View>
  );
}
