import { useState } from 'react';

import { useHub, useHubAct } from '@/book/sync';
import type { AccountRequest } from '@/core/sync';
import { go } from '@/platform/navigation';
import { Choice, Field, NextAct, OverPage, Txt, usePageTitle } from '@/ui';

import { OftenChoice } from './OftenChoice';
import { devicePath } from './paths';
import { DIRECTIONS } from './words';

/** Another server over CardDAV, which the hub visits by itself. */
export function ServerPage() {
  usePageTitle('Another server');
  const { pairing } = useHub();
  const act = useHubAct();
  const [wish, setWish] = useState<AccountRequest>({
    ...{ name: '', base: '', user: '', password: '' },
    ...{ direction: 'both', everyMinutes: 60, own: true },
  });
  const set = (some: Partial<AccountRequest>) => setWish({ ...wish, ...some });
  const name = wish.name.trim();
  const save = async () => {
    const added = await act(async (hub, token) => {
      await hub.addServer(token, { ...wish, name });
      return true;
    });
    if (added) go(devicePath(name));
  };
  return (
    <OverPage
      title="Another server"
      backLabel="Devices"
      onBack={() => go('/devices')}
      className="max-w-[640px] gap-4"
      testID="server-page"
    >
      {pairing ? null : (
        <Txt tone="ochre">This browser has to be paired with the hub first, under Devices.</Txt>
      )}
      <Txt tone="faded">
        The hub signs in there as a client over CardDAV and puts together what either side has changed. It
        keeps the password sealed, as it has to sign in with it.
      </Txt>
      <Field
        label="What it is called here"
        value={wish.name}
        onChange={(text) => set({ name: text })}
        isFirst
        testID="server-name"
      />
      <Field
        label="Address"
        value={wish.base}
        onChange={(base) => set({ base })}
        kind="url"
        placeholder="https://cards.example"
        testID="server-base"
      />
      <Field
        label="User name"
        value={wish.user}
        onChange={(user) => set({ user })}
        kind="email"
        testID="server-user"
      />
      <Field
        label="Password"
        value={wish.password}
        onChange={(password) => set({ password })}
        isSecret
        testID="server-password"
      />
      <Choice
        name="Direction"
        options={SERVER_DIRECTIONS}
        value={wish.direction}
        onChange={(direction) => set({ direction })}
      />
      <Choice
        name="Which cards"
        options={[
          ['own', 'Cards that come from it or are stored there'],
          ['all', 'All except private and archived ones'],
        ]}
        value={wish.own === true ? 'own' : 'all'}
        onChange={(which) => set({ own: which === 'own' })}
      />
      <OftenChoice minutes={wish.everyMinutes} onChange={(everyMinutes) => set({ everyMinutes })} />
      <NextAct
        label="Connect"
        isDisabled={!pairing || [name, wish.base.trim(), wish.user].includes('')}
        onPress={() => void save()}
        testID="server-save"
      />
    </OverPage>
  );
}

const SERVER_DIRECTIONS = DIRECTIONS.map(
  ([value, label]) => [value, label.replace('the device', 'the server')] as const,
);
