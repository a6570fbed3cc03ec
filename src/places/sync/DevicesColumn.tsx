import { lazy, Suspense } from 'react';
import { ScrollView, View } from 'react-native';
import { Pressable } from 'react-native';

import { useHub } from '@/book/sync';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/sync';
import { Act, Coming, Library, linkProps, Plus, ProgressLine, Txt } from '@/ui';

import { BrowsersPart } from './BrowsersPart';
import { DevicePicture } from './DevicePicture';
import { PairPart } from './PairPart';
import { devicePath, logPath } from './paths';
import { TryPart } from './TryPart';
import { useDevices, useNow, useToSettle } from './useDevices';
import { formatMoment, standingOf } from './words';

/** Seldom needed, and loaded then. */
const RefusedPart = lazy(() => import('./RefusedPart').then((one) => ({ default: one.RefusedPart })));

/** The devices with how they stand, what is to settle, and the browsers that share the book. */
export function DevicesColumn({ openName }: { readonly openName: string }) {
  const { pairing } = useHub();
  const { value, fault } = useDevices();
  const { values, devices: unsettled, isKnown: isSettleKnown } = useToSettle();
  const now = useNow();
  // What the devices would move waits until the hub has answered, or hasn't.
  const isKnown = !pairing || ((value !== undefined || fault !== '') && isSettleKnown);
  return (
    <ScrollView testID="devices">
      <View className="min-h-[69px] flex-row items-center justify-between border-b border-rule px-5 pb-2 pt-4">
        <Txt font="serif" size="head" heading={1}>
          {texts.devices}
        </Txt>
        {pairing ? (
          <Act
            label={texts.connect}
            name={shared.connectDevice}
            icon={Plus}
            onPress={() => go('/devices/connect')}
            testID="connect"
          />
        ) : null}
      </View>
      <View className="gap-4 px-5 pb-8 pt-3">
        {pairing ? (
          <View className="min-h-[30px]">
            <ExchangeState now={now} />
          </View>
        ) : (
          <PairPart />
        )}
        {isKnown && value && value.devices.length > 0 ? (
          <DevicePicture devices={value.devices} unsettled={unsettled} now={now} />
        ) : null}
        {fault === '' ? null : <Txt tone="brick">{shared.hubDidNotAnswer(fault)}</Txt>}
        {!isKnown || values.length === 0 ? null : (
          <Act
            label={texts.toSettleValues(values.length)}
            onPress={() => go('/devices/settle')}
            testID="to-settle"
          />
        )}
        {isKnown && value ? (
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
        {isKnown ? (
          <View className="flex-row flex-wrap gap-x-6">
            {pairing ? (
              <Act label={texts.whatWasChanged} tone="faded" onPress={() => go(logPath())} testID="to-log" />
            ) : null}
            <Act
              label={texts.commonDirectory}
              icon={Library}
              tone="faded"
              onPress={() => go('/directory')}
              testID="to-directory"
            />
          </View>
        ) : (
          <Coming />
        )}
      </View>
    </ScrollView>
  );
}

/** How the exchange with the hub is going, in a line. */
function ExchangeState({ now }: { readonly now: number }) {
  const { work, waiting, fault, lastAt, refused } = useHub();
  if (work)
    return (
      <ProgressLine
        share01={work.total === 0 ? 0 : work.done / work.total}
        text={texts.sendingToHubOf(
          work.done,
          work.what === 'months' ? texts.monthsOfTalkCount(work.total) : shared.cardCount(work.total),
        )}
      />
    );
  if (Object.keys(refused).length > 0)
    return (
      <Suspense fallback={null}>
        <RefusedPart />
      </Suspense>
    );
  if (fault !== '') {
    const says = texts.noExchangeWithHub(fault);
    return <Txt tone="brick">{waiting === 0 ? says : `${says} ${texts.changesWait(waiting)}`}</Txt>;
  }
  if (lastAt === '') return <Txt tone="faded">{shared.contactingHub}</Txt>;
  return (
    <Txt tone="moss" testID="in-step">
      {texts.inSyncWithHub(formatMoment(lastAt, now))}
    </Txt>
  );
}
