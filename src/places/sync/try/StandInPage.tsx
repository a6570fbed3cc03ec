import { useState } from 'react';
import { View } from 'react-native';

import type { StandInKind } from '@/book/clients';
import { noticeShown, useAppDispatch } from '@/book/state';
import { useHub, useHubAct, useHubAnswer } from '@/book/sync';
import type { StandInStatus } from '@/core/sync';
import { formatCount } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, OverPage, Plus, Repeat, Switch, Txt, usePageTitle } from '@/ui';

import { devicePath } from '../paths';
import { useDevices, useNow } from '../useDevices';
import { formatMoment } from '../words';
import { CallPart } from './CallPart';
import { HeldList } from './HeldList';
import { HeldSheet } from './HeldSheet';
import { MailboxPart } from './MailboxPart';

const TITLES: Readonly<Record<StandInKind, string>> = {
  phone: 'The simulated phone',
  mail: 'The simulated mail client',
  computer: 'The simulated computer',
};
const HABITS: Readonly<Record<StandInKind, string>> = {
  phone:
    'It knows three labels, writes numbers as they are written here, and drops what it has no field for.',
  mail: 'It keeps a name, three mail addresses and one number, and makes cards of people it writes to.',
  computer: 'It keeps everything, lists too, and gives a card that is duplicated on it a UID of its own.',
};

/** A device that ships with the product, as if one held it: its cards, which can be changed there, and whether it is online. */
export function StandInPage({ kind }: { readonly kind: string }) {
  const isKind = Object.hasOwn(TITLES, kind);
  const title = isKind ? TITLES[kind as StandInKind] : 'Device not found';
  usePageTitle(title);
  const { devices } = useDevices().value ?? { devices: [] };
  const name = devices.find(({ standIn }) => standIn === kind)?.name;
  return (
    <OverPage
      title={title}
      backLabel={name ?? 'Devices'}
      onBack={() => go(name === undefined ? '/devices' : devicePath(name))}
      className="max-w-[640px] gap-4"
      testID="stand-in"
    >
      {isKind ? (
        <StandIn kind={kind as StandInKind} />
      ) : (
        <Txt tone="ochre">There is no device of that kind.</Txt>
      )}
    </OverPage>
  );
}

function StandIn({ kind }: { readonly kind: StandInKind }) {
  const { pairing } = useHub();
  const { value: now, fault } = useHubAnswer(`standin ${kind}`, (hub, token) => hub.standIn(token, kind));
  const act = useHubAct();
  const [open, setOpen] = useState<string>();
  if (!pairing)
    return <Txt tone="ochre">This browser has to be paired with the hub first, under Devices.</Txt>;
  if (!now)
    return <Txt tone={fault === '' ? 'faded' : 'ochre'}>{fault === '' ? 'Contacting the hub …' : fault}</Txt>;
  return (
    <>
      <Txt tone="faded">{HABITS[kind]}</Txt>
      <Online now={now} />
      {kind === 'phone' ? <CallPart now={now} /> : null}
      {kind === 'mail' ? <MailboxPart now={now} /> : null}
      <View className="flex-row flex-wrap gap-x-6">
        <Act label="New card on it" icon={Plus} onPress={() => setOpen('')} testID="held-new" />
        <Act
          label="Erase it"
          tone="faded"
          onPress={() => void act((hub, token) => hub.resetStandIn(token, kind))}
          testID="reset"
        />
      </View>
      <HeldList now={now} onOpen={setOpen} />
      {open === undefined ? null : <HeldSheet now={now} uid={open} onClose={() => setOpen(undefined)} />}
    </>
  );
}

/** Whether it is online, and when it comes. */
function Online({ now }: { readonly now: StandInStatus }) {
  const act = useHubAct();
  const dispatch = useAppDispatch();
  const moment = useNow();
  const visit = async () => {
    const done = await act((hub, token) => hub.visit(token, now.kind));
    if (!done) return;
    const { sent, received, removed } = done;
    const text = `Sent ${sent.length}, received ${received.length}, removed ${removed.length}`;
    dispatch(noticeShown({ text, tone: 'plain' }));
  };
  const waiting = now.waiting === 0 ? '' : ` · ${formatCount(now.waiting, 'change waits', 'changes wait')}`;
  return (
    <View>
      <Switch
        label="Online"
        hint={
          now.isOffline
            ? `Nothing comes or goes${waiting}`
            : `Next sync at ${formatMoment(now.next, moment)}${waiting}`
        }
        isOn={!now.isOffline}
        onChange={(isOn) => void act((hub, token) => hub.setOffline(token, now.kind, !isOn))}
        testID="online"
      />
      {now.isOffline ? null : (
        <View className="flex-row">
          <Act label="Sync now" icon={Repeat} onPress={() => void visit()} testID="held-sync" />
        </View>
      )}
    </View>
  );
}
