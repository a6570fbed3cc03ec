import { useState } from 'react';
import { View } from 'react-native';

import type { StandInKind } from '@/book/clients';
import { noticeShown, useAppDispatch } from '@/book/state';
import { useHub, useHubAct, useHubAnswer } from '@/book/sync';
import type { StandInStatus } from '@/core/sync';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/try';
import { Act, OverPage, Plus, Repeat, Switch, Txt, usePageTitle } from '@/ui';

import { devicePath } from '../paths';
import { useDevices, useNow } from '../useDevices';
import { formatMoment } from '../words';
import { CallPart } from './CallPart';
import { HeldList } from './HeldList';
import { HeldSheet } from './HeldSheet';
import { MailboxPart } from './MailboxPart';

const TITLES: Readonly<Record<StandInKind, string>> = {
  phone: texts.simulatedPhone,
  mail: texts.simulatedMailClient,
  computer: texts.simulatedComputer,
};
const HABITS: Readonly<Record<StandInKind, string>> = {
  phone: texts.itKnowsThreeLabels,
  mail: texts.itKeepsNameThree,
  computer: texts.itKeepsEverythingLists,
};

/** A simulated device: its cards, which can be changed on it, and whether it is online. */
export function StandInPage({ kind }: { readonly kind: string }) {
  const isKind = Object.hasOwn(TITLES, kind);
  const title = isKind ? TITLES[kind as StandInKind] : texts.deviceNotFound;
  usePageTitle(title);
  const { devices } = useDevices().value ?? { devices: [] };
  const name = devices.find(({ standIn }) => standIn === kind)?.name;
  return (
    <OverPage
      title={title}
      backLabel={name ?? texts.devices}
      onBack={() => go(name === undefined ? '/devices' : devicePath(name))}
      className="max-w-[640px] gap-4"
      testID="stand-in"
    >
      {isKind ? <StandIn kind={kind as StandInKind} /> : <Txt tone="ochre">{texts.thereIsNoDevice}</Txt>}
    </OverPage>
  );
}

function StandIn({ kind }: { readonly kind: StandInKind }) {
  const { pairing } = useHub();
  const { value: now, fault } = useHubAnswer(`standin ${kind}`, (hub, token) => hub.standIn(token, kind));
  const act = useHubAct();
  const [open, setOpen] = useState<string>();
  if (!pairing) return <Txt tone="ochre">{shared.thisBrowserHasToBePaired}</Txt>;
  if (!now)
    return <Txt tone={fault === '' ? 'faded' : 'ochre'}>{fault === '' ? shared.contactingHub : fault}</Txt>;
  return (
    <>
      <Txt tone="faded">{HABITS[kind]}</Txt>
      <Online now={now} />
      {kind === 'phone' ? <CallPart now={now} /> : null}
      {kind === 'mail' ? <MailboxPart now={now} /> : null}
      <View className="flex-row flex-wrap gap-x-6">
        <Act label={texts.newCardOnIt} icon={Plus} onPress={() => setOpen('')} testID="held-new" />
        <Act
          label={texts.eraseIt}
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
    const text = texts.sentReceivedRemoved(sent.length, received.length, removed.length);
    dispatch(noticeShown({ text, tone: 'plain' }));
  };
  const withWaiting = (says: string) => (now.waiting === 0 ? says : texts.changesWait(says, now.waiting));
  return (
    <View>
      <Switch
        label={texts.online}
        hint={
          now.isOffline
            ? withWaiting(texts.nothingIsSynced)
            : withWaiting(texts.nextSyncAt(formatMoment(now.next, moment)))
        }
        isOn={!now.isOffline}
        onChange={(isOn) => void act((hub, token) => hub.setOffline(token, now.kind, !isOn))}
        testID="online"
      />
      {now.isOffline ? null : (
        <View className="flex-row">
          <Act label={texts.syncNow} icon={Repeat} onPress={() => void visit()} testID="held-sync" />
        </View>
      )}
    </View>
  );
}
