import { useState } from 'react';
import { View } from 'react-native';

import { noticeShown, useAppDispatch } from '@/book/state';
import { useHubAct } from '@/book/sync';
import type { DeviceStatus, SyncPreview, VisitResult } from '@/core/sync';
import { formatCount } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, OverPage, Repeat, TitledPart, Trash, Txt, usePageTitle } from '@/ui';

import { adviceFor } from './advice';
import { OftenChoice } from './OftenChoice';
import { type PassportDraft, PassportForm } from './PassportForm';
import { logPath } from './paths';
import { useDevice, useNow } from './useDevices';
import { useDirectoryToken } from './useDirectoryToken';
import { formatMoment, standingOf } from './words';

/** A device's passport: how it stands, what it gets, what came and went, and the ways to stop it. */
export function PassportPage({ name }: { readonly name: string }) {
  usePageTitle(name);
  const device = useDevice(name);
  const now = useNow();
  return (
    <OverPage
      title={name}
      backLabel="Devices"
      onBack={() => go('/devices')}
      className="max-w-[640px] gap-5"
      testID="passport-page"
    >
      {device === undefined ? <Txt tone="faded">Contacting the hub …</Txt> : null}
      {device === null ? <Txt tone="ochre">There is no device of that name any more.</Txt> : null}
      {device ? (
        <>
          <Txt tone={device.syncs[0]?.fault ? 'brick' : 'faded'}>{standingOf(device, now)}</Txt>
          {device.server === null ? null : (
            <Txt size="small" tone="faded">{`The hub visits it as a client: ${device.server}`}</Txt>
          )}
          <PassportActs device={device} />
          <AheadPart device={device} />
          <Passport device={device} />
          <SyncsPart device={device} now={now} />
          <View className="flex-row">
            <Act label="What it changed" onPress={() => go(logPath({ device: name }))} testID="device-log" />
          </View>
        </>
      ) : null}
    </OverPage>
  );
}

function PassportActs({ device }: { readonly device: DeviceStatus }) {
  const act = useHubAct();
  const dispatch = useAppDispatch();
  const [isSure, setSure] = useState(false);
  const { name, standIn, server, isPaused } = device;
  const visit = async () => {
    if (standIn === null) {
      const went = await act((hub, token) => hub.visitServer(token, name));
      if (went)
        dispatch(noticeShown({ text: `${name}: ${went.came} came, ${went.went} went`, tone: 'plain' }));
      return;
    }
    const done = await act((hub, token) => hub.visit(token, standIn));
    if (done) dispatch(noticeShown({ text: `${name}: ${visitInWords(done)}`, tone: 'plain' }));
  };
  const remove = async () => {
    await act((hub, token) => hub.removeDevice(token, name));
    dispatch(
      noticeShown({ text: `${name} has no passport any more. Its cards stay as they are.`, tone: 'plain' }),
    );
    go('/devices');
  };
  return (
    <View className="flex-row flex-wrap gap-x-6">
      {standIn === null && server === null ? null : (
        <Act label="Sync now" icon={Repeat} onPress={() => void visit()} testID="sync-now" />
      )}
      {standIn === null ? null : (
        <Act
          label="Open the simulated device"
          onPress={() => go(`/devices/try/${standIn}`)}
          testID="try-it"
        />
      )}
      <Act
        label={isPaused ? 'Resume' : 'Pause'}
        onPress={() => void act((hub, token) => hub.changeDevice(token, name, { isPaused: !isPaused }))}
        testID="pause"
      />
      {isSure ? (
        <Act
          label="Remove it; its password is gone for good"
          tone="brick"
          onPress={() => void remove()}
          testID="remove-sure"
        />
      ) : (
        <Act label="Remove" icon={Trash} tone="faded" onPress={() => setSure(true)} testID="remove" />
      )}
    </View>
  );
}

/** What a visit did, in words. */
function visitInWords({ sent, received, removed }: VisitResult): string {
  const parts = [
    sent.length > 0 ? `sent ${formatCount(sent.length, 'card', 'cards')}` : '',
    received.length > 0 ? `received ${formatCount(received.length, 'card', 'cards')}` : '',
    removed.length > 0 ? `removed ${removed.length}` : '',
  ].filter(Boolean);
  return parts.length === 0 ? 'nothing new' : parts.join(', ');
}

/** Names of one kind told at most. */
const NAMED = 8;

/** What the next visit would bring the device, without having it come. */
function AheadPart({ device }: { readonly device: DeviceStatus }) {
  const act = useHubAct();
  const [ahead, setAhead] = useState<SyncPreview>();
  const lines = ahead
    ? ([
        ['New on the device', ahead.added],
        ['Changed on the device', ahead.changed],
        ['Removed from the device', ahead.removed],
      ] as const)
    : [];
  const isNothing = lines.every(([, names]) => names.length === 0);
  return (
    <View>
      <View className="flex-row">
        <Act
          label="Preview the next sync"
          onPress={() => void act((hub, token) => hub.ahead(token, device.name)).then(setAhead)}
          testID="ahead"
        />
      </View>
      {ahead && isNothing ? <Txt testID="ahead-none">Nothing: it is up to date.</Txt> : null}
      {lines.map(([title, names]) =>
        names.length === 0 ? null : (
          <Txt key={title}>
            {`${title}: ${names.slice(0, NAMED).join(', ')}${names.length > NAMED ? ` and ${names.length - NAMED} more` : ''}`}
          </Txt>
        ),
      )}
    </View>
  );
}

function Passport({ device }: { readonly device: DeviceStatus }) {
  const act = useHubAct();
  const tokenFor = useDirectoryToken();
  const { direction, tag, lists, notes, photos, photoSide, groups, own, directory } = device;
  const draft: PassportDraft = {
    ...{ direction, tag: tag ?? '', lists: [...lists], notes, photos, photoSide, groups, own, directory },
  };
  const change = async (some: Partial<PassportDraft>) => {
    const directoryToken = await tokenFor(some.directory);
    await act((hub, token) => hub.changeDevice(token, device.name, { ...some, ...directoryToken }));
  };
  return (
    <>
      <PassportForm draft={draft} onChange={(some) => void change(some)} />
      {device.everyMinutes === null ? null : (
        <TitledPart title="How often">
          <OftenChoice
            minutes={device.everyMinutes}
            onChange={(everyMinutes) =>
              void act((hub, token) => hub.changeDevice(token, device.name, { everyMinutes }))
            }
          />
        </TitledPart>
      )}
    </>
  );
}

/** Syncs shown. */
const SHOWN = 6;

function SyncsPart({ device, now }: { readonly device: DeviceStatus; readonly now: number }) {
  const act = useHubAct();
  const dispatch = useAppDispatch();
  const takeBack = async (id: number) => {
    const undone = await act((hub, token) => hub.undoSync(token, id));
    if (!undone) return;
    const rest = undone.missed === 0 ? '' : ` ${undone.missed} newer values were left as they are.`;
    const text = `Undid ${formatCount(undone.cards, 'card', 'cards')} that ${device.name} had changed.${rest}`;
    dispatch(noticeShown({ text, tone: 'plain' }));
  };
  return (
    <View>
      <Txt size="small" font="sansBold" tone="faded" heading={2}>
        Its last syncs
      </Txt>
      {device.syncs.length === 0 ? <Txt tone="faded">None yet.</Txt> : null}
      {device.syncs.slice(0, SHOWN).map((sync) => (
        <View key={sync.id} className="min-h-[44px] flex-row items-center gap-3 border-b border-rule">
          <View className="w-[92px] shrink-0">
            <Txt size="small" tone="faded" isFigures>
              {formatMoment(sync.at, now)}
            </Txt>
          </View>
          <View className="min-w-0 flex-1">
            <Txt isFigures>{`${sync.in} came, ${sync.out} went`}</Txt>
            {sync.fault === null ? null : (
              <>
                <Txt size="small" tone="brick">
                  {sync.fault}
                </Txt>
                <Txt size="small" tone="faded">
                  {adviceFor(sync.fault)}
                </Txt>
              </>
            )}
            {sync.undone === null ? null : (
              <Txt size="small" tone="faded">
                {`Undone ${formatMoment(sync.undone, now)}`}
              </Txt>
            )}
          </View>
          {sync.in > 0 && sync.undone === null ? (
            <Act
              label="Undo"
              name={`Undo the sync at ${formatMoment(sync.at, now)}`}
              tone="faded"
              onPress={() => void takeBack(sync.id)}
              testID="undo-sync"
            />
          ) : null}
        </View>
      ))}
    </View>
  );
}
