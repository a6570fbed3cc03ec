import { useState } from 'react';
import { View } from 'react-native';

import { noticeShown, useAppDispatch } from '@/book/state';
import { useHubAct } from '@/book/sync';
import { isSameJson } from '@/core/base';
import type { DeviceStatus, SyncPreview, VisitResult } from '@/core/sync';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/sync';
import { Act, NextAct, OverPage, Repeat, TitledPart, Trash, Txt, usePageTitle } from '@/ui';

import { adviceFor } from './advice';
import { OftenChoice } from './OftenChoice';
import { type PassportDraft, PassportForm } from './PassportForm';
import { logPath } from './paths';
import { useDevice, useNow } from './useDevices';
import { useDirectoryToken } from './useDirectoryToken';
import { formatMoment, standingOf } from './words';

/** A device's passport: its state, what it may receive, its syncs, and the ways to stop it. */
export function PassportPage({ name }: { readonly name: string }) {
  usePageTitle(name);
  const device = useDevice(name);
  const now = useNow();
  return (
    <OverPage
      title={name}
      backLabel={texts.devices}
      onBack={() => go('/devices')}
      className="max-w-[640px] gap-5"
      testID="passport-page"
    >
      {device === undefined ? <Txt tone="faded">{shared.contactingHub}</Txt> : null}
      {device === null ? <Txt tone="ochre">{texts.thereIsNoDevice}</Txt> : null}
      {device ? (
        <>
          <Txt tone={device.syncs[0]?.fault ? 'brick' : 'faded'}>{standingOf(device, now)}</Txt>
          {device.server === null ? null : (
            <Txt size="small" tone="faded">
              {texts.hubVisitsItAsClient(device.server)}
            </Txt>
          )}
          <PassportActs device={device} />
          <AheadPart device={device} />
          <Passport device={device} />
          <SyncsPart device={device} now={now} />
          <View className="flex-row">
            <Act
              label={texts.whatItChanged}
              onPress={() => go(logPath({ device: name }))}
              testID="device-log"
            />
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
      if (went) dispatch(noticeShown({ text: texts.cameWent(name, went.came, went.went), tone: 'plain' }));
      return;
    }
    const done = await act((hub, token) => hub.visit(token, standIn));
    if (done) dispatch(noticeShown({ text: `${name}: ${visitInWords(done)}`, tone: 'plain' }));
  };
  const remove = async () => {
    await act((hub, token) => hub.removeDevice(token, name));
    dispatch(noticeShown({ text: texts.hasNoPassportAny(name), tone: 'plain' }));
    go('/devices');
  };
  return (
    <View className="flex-row flex-wrap gap-x-6">
      {standIn === null && server === null ? null : (
        <Act label={texts.syncNow} icon={Repeat} onPress={() => void visit()} testID="sync-now" />
      )}
      {standIn === null ? null : (
        <Act
          label={texts.openSimulatedDevice}
          onPress={() => go(`/devices/try/${standIn}`)}
          testID="try-it"
        />
      )}
      <Act
        label={isPaused ? texts.resume : texts.pause}
        onPress={() => void act((hub, token) => hub.changeDevice(token, name, { isPaused: !isPaused }))}
        testID="pause"
      />
      {isSure ? (
        <Act
          label={texts.removeItItsPassword}
          tone="brick"
          onPress={() => void remove()}
          testID="remove-sure"
        />
      ) : (
        <Act label={texts.remove} icon={Trash} tone="faded" onPress={() => setSure(true)} testID="remove" />
      )}
    </View>
  );
}

/** A sync in words. */
function visitInWords({ sent, received, removed }: VisitResult): string {
  const parts = [
    sent.length > 0 ? texts.sentCards(sent.length) : '',
    received.length > 0 ? texts.receivedCards(received.length) : '',
    removed.length > 0 ? texts.removed(removed.length) : '',
  ].filter(Boolean);
  return parts.length === 0 ? texts.nothingNew : parts.join(', ');
}

/** The most names listed of one kind. */
const NAMED = 8;

/** What the next sync would bring to the device, without running it. */
function AheadPart({ device }: { readonly device: DeviceStatus }) {
  const act = useHubAct();
  const [ahead, setAhead] = useState<SyncPreview>();
  const lines = ahead
    ? ([
        [texts.newOnDevice, ahead.added],
        [texts.changedOnDevice, ahead.changed],
        [texts.removedFromDevice, ahead.removed],
      ] as const)
    : [];
  const isNothing = lines.every(([, names]) => names.length === 0);
  return (
    <View>
      <View className="flex-row">
        <Act
          label={texts.previewNextSync}
          onPress={() => void act((hub, token) => hub.ahead(token, device.name)).then(setAhead)}
          testID="ahead"
        />
      </View>
      {ahead && isNothing ? <Txt testID="ahead-none">{texts.nothingItIsUp}</Txt> : null}
      {lines.map(([title, names]) =>
        names.length === 0 ? null : (
          <Txt key={title}>
            {`${title}: ${names.slice(0, NAMED).join(', ')}${names.length > NAMED ? shared.andMore(names.length - NAMED) : ''}`}
          </Txt>
        ),
      )}
    </View>
  );
}

/** What a device may receive, changed as a draft: half of a change may let through more than the whole. */
function Passport({ device }: { readonly device: DeviceStatus }) {
  const act = useHubAct();
  const dispatch = useAppDispatch();
  const tokenFor = useDirectoryToken();
  const [changed, setChanged] = useState<Partial<PassportDraft>>({});
  const { direction, scope, tag, lists, notes, photos, photoSide, groups, own, directory } = device;
  const stored: PassportDraft = {
    ...{ direction, scope, tag: tag ?? '', lists: [...lists] },
    ...{ notes, photos, photoSide, groups, own, directory },
  };
  const isChanged = !isSameJson({ ...stored, ...changed }, stored);
  const save = async () => {
    const directoryToken = await tokenFor(changed.directory);
    const done = await act(async (hub, token) => {
      await hub.changeDevice(token, device.name, { ...changed, ...directoryToken });
      return true;
    });
    if (!done) return;
    dispatch(noticeShown({ text: texts.passportSaved(device.name), tone: 'plain' }));
    setChanged({});
  };
  return (
    <>
      <PassportForm
        draft={{ ...stored, ...changed }}
        onChange={(some) => setChanged({ ...changed, ...some })}
      />
      {isChanged ? (
        <View className="flex-row items-center gap-5">
          <NextAct label={texts.savePassport} onPress={() => void save()} testID="save-passport" />
          <Act label={texts.discardChanges} tone="faded" onPress={() => setChanged({})} />
        </View>
      ) : null}
      {device.everyMinutes === null ? null : (
        <TitledPart title={texts.howOften}>
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
    const rest = undone.missed === 0 ? '' : texts.newerValuesWereLeft(undone.missed);
    const text = texts.undidCardsThatHad(undone.cards, device.name, rest);
    dispatch(noticeShown({ text, tone: 'plain' }));
  };
  return (
    <View>
      <Txt size="small" font="sansBold" tone="faded" heading={2}>
        {texts.itsLastSyncs}
      </Txt>
      {device.syncs.length === 0 ? <Txt tone="faded">{texts.noneYet}</Txt> : null}
      {device.syncs.slice(0, SHOWN).map((sync) => (
        <View key={sync.id} className="min-h-[44px] flex-row items-center gap-3 border-b border-rule">
          <View className="w-[92px] shrink-0">
            <Txt size="small" tone="faded" isFigures>
              {formatMoment(sync.at, now)}
            </Txt>
          </View>
          <View className="min-w-0 flex-1">
            <Txt isFigures>{texts.cameWentCount(sync.in, sync.out)}</Txt>
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
                {texts.undone(formatMoment(sync.undone, now))}
              </Txt>
            )}
          </View>
          {sync.in > 0 && sync.undone === null ? (
            <Act
              label={texts.undo}
              name={texts.undoSyncAt(formatMoment(sync.at, now))}
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
