import { useState } from 'react';

import { useHub, useHubAct } from '@/book/sync';
import type { AccountRequest } from '@/core/sync';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/sync';
import { Choice, Field, NextAct, OverPage, Txt, usePageTitle } from '@/ui';

import { OftenChoice } from './OftenChoice';
import { devicePath } from './paths';
import { DIRECTIONS } from './words';

/** Another CardDAV server, which the hub visits as a client. */
export function ServerPage() {
  usePageTitle(texts.anotherServer);
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
      title={texts.anotherServer}
      backLabel={texts.devices}
      onBack={() => go('/devices')}
      className="max-w-[640px] gap-4"
      isFilledIn
      testID="server-page"
    >
      {pairing ? null : <Txt tone="ochre">{shared.thisBrowserHasToBePaired}</Txt>}
      <Txt tone="faded">{texts.hubSignsInThereOver}</Txt>
      <Field
        label={texts.whatItIsCalled}
        value={wish.name}
        onChange={(text) => set({ name: text })}
        isFirst
        testID="server-name"
      />
      <Field
        label={texts.address}
        value={wish.base}
        onChange={(base) => set({ base })}
        kind="url"
        placeholder={texts.httpsCardsExample}
        testID="server-base"
      />
      <Field
        label={texts.userName}
        value={wish.user}
        onChange={(user) => set({ user })}
        kind="email"
        testID="server-user"
      />
      <Field
        label={texts.password}
        value={wish.password}
        onChange={(password) => set({ password })}
        isSecret
        testID="server-password"
      />
      <Choice
        name={texts.direction}
        options={SERVER_DIRECTIONS}
        value={wish.direction}
        onChange={(direction) => set({ direction })}
      />
      <Choice
        name={texts.whichCards}
        options={[
          ['own', texts.cardsThatComeFromItOrAreStored],
          ['all', texts.allExceptPrivateAndArchived],
        ]}
        value={wish.own === true ? 'own' : 'all'}
        onChange={(which) => set({ own: which === 'own' })}
      />
      <OftenChoice minutes={wish.everyMinutes} onChange={(everyMinutes) => set({ everyMinutes })} />
      <NextAct
        label={texts.connect}
        isDisabled={!pairing || [name, wish.base.trim(), wish.user].includes('')}
        onPress={() => void save()}
        testID="server-save"
      />
    </OverPage>
  );
}

const SERVER_DIRECTIONS = DIRECTIONS.map(
  ([value, label]) => [value, label.replace(texts.device, texts.serverWord)] as const,
);
