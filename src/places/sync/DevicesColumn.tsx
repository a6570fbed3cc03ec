import { ScrollView, View } from 'react-native';
import { Pressable } from 'react-native';

import { useHub } from '@/book/sync';
import { formatCount } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, Library, linkProps, Plus, ProgressLine, Txt } from '@/ui';

import { BrowsersPart } from './BrowsersPart';
import { DevicePicture } from './DevicePicture';
import { PairPart } from './PairPart';
import { devicePath, logPath } from './paths';
import { TryPart } from './TryPart';
import { useDevices, useNow, useToSettle } from './useDevices';
import { formatMoment, standingOf } from './words';

/** The devices with how they stand, what is to settle, and the browsers that share the book. */
export function DevicesColumn({ openName }: { readonly openName: string }) {
  const { pairing } = useHub();
  const { value, fault } = useDevices();
  const { values, devices: unsettled } = useToSettle();
  const now = useNow();
  return (
    <ScrollView testID="devices">
      <View className="flex-row items-center justify-between border-b border-rule px-5 pb-2 pt-4">
        <Txt font="serif" size="head" heading={1}>
          Devices
        </Txt>
        {pairing ? (
          <Act
            label="Connect"
            name="Connect a device"
            icon={Plus}
            onPress={() => go('/devices/connect')}
            testID="connect"
          />
        ) : null}
      </View>
      <View className="gap-4 px-5 pb-8 pt-3">
        {pairing ? <ExchangeState now={now} /> : <PairPart />}
        {value && value.devices.length > 0 ? (
          <DevicePicture devices={value.devices} unsettled={unsettled} now={now} />
        ) : null}
        {fault === '' ? null : <Txt tone="brick">{`The hub did not answer: ${fault}.`}</Txt>}
        {values.length === 0 ? null : (
          <Act
            label={`To settle: ${formatCount(values.length, 'value', 'values')}`}
            onPress={() => go('/devices/settle')}
            testID="to-settle"
          />
        )}
        {value ? (
          <View>
            {value.devices.map((device) => (
              <Pressable
                key={device.name}
                role="link"
                aria-label={`${device.name}, ${standingOf(device, now)}`}
                {...linkProps(devicePath(device.name), () => go(devicePath(device.name)))}
                className={`min-h-[61px] justify-center border-b border-rule px-1 py-2 hover:bg-leaf/60 active:bg-leaf ${openName === device.name ? 'bg-leaf' : ''}`}
              >
                <Txt font="serif" size="strong" lines={1}>
                  {device.name}
                </Txt>
                <Txt size="small" tone={device.syncs[0]?.fault ? 'brick' : 'faded'} lines={2}>
                  {standingOf(device, now)}
                </Txt>
              </Pressable>
            ))}
            <TryPart devices={value.devices} />
            <BrowsersPart browsers={value.browsers} now={now} />
          </View>
        ) : null}
        <View className="flex-row flex-wrap gap-x-6">
          {pairing ? (
            <Act label="What was changed" tone="faded" onPress={() => go(logPath())} testID="to-log" />
          ) : null}
          <Act
            label="The common directory"
            icon={Library}
            tone="faded"
            onPress={() => go('/directory')}
            testID="to-directory"
          />
        </View>
      </View>
    </ScrollView>
  );
}

/** How the exchange with the hub is going, in a line. */
function ExchangeState({ now }: { readonly now: number }) {
  const { work, waiting, fault, lastAt } = useHub();
  if (work)
    return (
      <ProgressLine
        share01={work.total === 0 ? 0 : work.done / work.total}
        text={`Sending to the hub: ${work.done} of ${work.what === 'months' ? formatCount(work.total, 'month of talks', 'months of talks') : formatCount(work.total, 'card', 'cards')}`}
      />
    );
  if (fault !== '') {
    const rest =
      waiting === 0 ? '' : ` ${formatCount(waiting, 'change waits', 'changes wait')} here and will be sent.`;
    return <Txt tone="brick">{`No exchange with the hub: ${fault}.${rest}`}</Txt>;
  }
  if (lastAt === '') return <Txt tone="faded">Contacting the hub …</Txt>;
  return (
    <Txt tone="moss" testID="in-step">{`In sync with the hub, last at ${formatMoment(lastAt, now)}`}</Txt>
  );
}
