import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { selectRowsByUid, useAppSelector } from '@/book/state';
import { useHub, useHubAnswer } from '@/book/sync';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/sync';
import { Act, Choice, OverPage, Txt, usePageTitle } from '@/ui';

import { LogPart } from './LogPart';
import { logPath } from './paths';
import { useDevices } from './useDevices';

/** What was changed through the hub: by everybody, by one device or browser, or on one card. */
export function LogPage() {
  usePageTitle(texts.whatWasChanged);
  const { device = '', uid = '' } = useLocalSearchParams<{ device?: string; uid?: string }>();
  const { pairing } = useHub();
  const rows = useAppSelector(selectRowsByUid);
  const { devices } = useDevices().value ?? { devices: [] };
  const of = { ...(device === '' ? {} : { device }), ...(uid === '' ? {} : { uid }) };
  const { value } = useHubAnswer(`log ${JSON.stringify(of)}`, (hub, token) => hub.log(token, of));
  return (
    <OverPage
      title={texts.whatWasChanged}
      backLabel={texts.devices}
      onBack={() => go('/devices')}
      className="max-w-[640px] gap-4"
      testID="log-page"
    >
      {pairing ? null : <Txt tone="ochre">{shared.thisBrowserHasToBePaired}</Txt>}
      {uid === '' ? (
        <Choice
          name={texts.byWhom}
          options={[['', texts.everybody], ...devices.map(({ name }) => [name, name] as const)]}
          value={device}
          onChange={(name) => go(logPath(name === '' ? {} : { device: name }))}
        />
      ) : (
        <View>
          <Txt>{texts.only(rows.get(uid)?.shown ?? texts.cardThatHasGoneWord)}</Txt>
          <View className="flex-row">
            <Act label={texts.allCards} tone="faded" onPress={() => go(logPath())} testID="log-all" />
          </View>
        </View>
      )}
      {pairing ? <LogPart lines={value} isOfCard={uid !== ''} /> : null}
    </OverPage>
  );
}
