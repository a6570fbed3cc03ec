import { View } from 'react-native';

import type { StandInKind } from '@/book/clients';
import { useHubAct } from '@/book/sync';
import type { DeviceStatus } from '@/core/sync';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/sync/sync';
import { Act, Plus } from '@/ui';

const KINDS: readonly (readonly [StandInKind, string])[] = [
  ['phone', texts.phone],
  ['mail', texts.mailClient],
  ['computer', texts.computer],
];

/** The simulated devices that aren't in use. */
export function TryPart({ devices }: { readonly devices: readonly DeviceStatus[] }) {
  const act = useHubAct();
  const inUse = new Set(devices.map(({ standIn }) => standIn));
  const left = KINDS.filter(([kind]) => !inUse.has(kind));
  const add = async (kind: StandInKind) => {
    const added = await act((hub, token) => hub.addStandIn(token, kind));
    if (added) go(`/devices/try/${kind}`);
  };
  return (
    <View className="flex-row flex-wrap gap-x-5">
      {left.map(([kind, words]) => (
        <Act
          key={kind}
          label={texts.try(words)}
          name={texts.tryExchangeWithThatShips(words)}
          icon={Plus}
          tone="faded"
          onPress={() => void add(kind)}
          testID={`try-${kind}`}
        />
      ))}
    </View>
  );
}
