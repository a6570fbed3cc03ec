import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { selectRowsByUid, useAppSelector } from '@/book/state';
import { useHub, useHubAnswer } from '@/book/sync';
import { go } from '@/platform/navigation';
import { Act, Choice, OverPage, Txt, usePageTitle } from '@/ui';

import { LogPart } from './LogPart';
import { logPath } from './paths';
import { useDevices } from './useDevices';

/** What was changed through the hub: by everybody, by one device or browser, or on one card. */
export function LogPage() {
  usePageTitle('What was changed');
  const { device = '', uid = '' } = useLocalSearchParams<{ device?: string; uid?: string }>();
  const { pairing } = useHub();
  const rows = useAppSelector(selectRowsByUid);
  const { devices } = useDevices().value ?? { devices: [] };
  const of = { ...(device === '' ? {} : { device }), ...(uid === '' ? {} : { uid }) };
  const { value } = useHubAnswer(`log ${JSON.stringify(of)}`, (hub, token) => hub.log(token, of));
  return (
    <OverPage
      title="What was changed"
      backLabel="Devices"
      onBack={() => go('/devices')}
      className="max-w-[640px] gap-4"
      testID="log-page"
    >
      {pairing ? null : (
        <Txt tone="ochre">This browser has to be paired with the hub first, under Devices.</Txt>
      )}
      {uid === '' ? (
        <Choice
          name="By whom"
          options={[['', 'Everybody'], ...devices.map(({ name }) => [name, name] as const)]}
          value={device}
          onChange={(name) => go(logPath(name === '' ? {} : { device: name }))}
        />
      ) : (
        <View>
          <Txt>{`Only ${rows.get(uid)?.shown ?? 'a card that has gone'}`}</Txt>
          <View className="flex-row">
            <Act label="All cards" tone="faded" onPress={() => go(logPath())} testID="log-all" />
          </View>
        </View>
      )}
      <LogPart lines={value} isOfCard={uid !== ''} />
    </OverPage>
  );
}
