import { View } from 'react-native';

import type { StandInKind } from '@/book/clients';
import { useHubAct } from '@/book/sync';
import type { DeviceStatus } from '@/core/sync';
import { go } from '@/platform/navigation';
import { Act, Plus } from '@/ui';

const KINDS: readonly (readonly [StandInKind, string])[] = [
  ['phone', 'a phone'],
  ['mail', 'a mail client'],
  ['computer', 'a computer'],
];

/** The devices that ship with the product, as far as they aren't in use. */
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
          label={`Try ${words}`}
          name={`Try the exchange with ${words} that ships with Cordialis`}
          icon={Plus}
          tone="faded"
          onPress={() => void add(kind)}
          testID={`try-${kind}`}
        />
      ))}
    </View>
  );
}
