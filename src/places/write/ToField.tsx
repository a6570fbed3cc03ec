import { useState } from 'react';

import { type MailDraft, type MailDraftNow, useFoundByName, useFoundInDirectory, useUnfiled } from '@/book';
import { foldText } from '@/core/text';
import { Field, OfferLine } from '@/ui';

/** People and lists offered at once. */
const OFFERED = 6;
/** People without a card offered at once. */
const UNFILED = 3;
/** "Bo Ek <bo@example.org>", or the address alone. */
const ADDRESS = /^(.*?)[\s,;]*<?([^\s<>,;@]+@[^\s<>,;@]+)>?\s*$/;

interface ToFieldProps {
  readonly draft: MailDraft;
  readonly set: MailDraftNow['set'];
}

/** Addresses the message to people and lists by the beginning of a name, or to an address nobody has. */
export function ToField({ draft, set }: ToFieldProps) {
  const [text, setText] = useState('');
  const typed = text.trim();
  const found = useFoundByName(typed, OFFERED + 10);
  const add = (one: MailDraft['to'][number]) => {
    setText('');
    const isKnown = draft.to.some((known) => JSON.stringify(known) === JSON.stringify(one));
    if (!isKnown) set({ to: [...draft.to, one] });
  };
  const listed = useFoundInDirectory(typed, OFFERED);
  const withoutCard = useUnfiled();
  const hits = (found ?? []).slice(0, OFFERED);
  const wanted = foldText(typed);
  const unfiled =
    wanted === ''
      ? []
      : (withoutCard?.open ?? [])
          .filter((one) => foldText(`${one.name} ${one.address}`).includes(wanted))
          .slice(0, UNFILED);
  const [, before = '', address] = ADDRESS.exec(typed) ?? [];
  return (
    <>
      <Field
        label="To people and lists"
        value={text}
        onChange={setText}
        placeholder="A name, a list, or an address"
        testID="write-to"
      />
      {hits.map((hit) => (
        <OfferLine
          key={hit.uid}
          name={`Write to ${hit.shown}`}
          title={hit.shown}
          second={hit.kind === 'list' ? 'Everybody on this list' : hit.field === 'name' ? '' : hit.value}
          onPress={() =>
            add(hit.kind === 'list' ? { kind: 'list', uid: hit.uid } : { kind: 'card', uid: hit.uid })
          }
        />
      ))}
      {listed.flatMap(({ uid, name, address: known }) =>
        known === undefined ? (
          []
        ) : (
          <OfferLine
            key={`directory ${uid}`}
            name={`Write to ${name} of the directory`}
            title={name}
            second={`Directory · ${known}`}
            onPress={() => add({ kind: 'address', address: known, name })}
          />
        ),
      )}
      {unfiled.map(({ address: known, name }) => (
        <OfferLine
          key={`unfiled ${known}`}
          name={`Write to ${name || known}, who has no card`}
          title={name || known}
          second={`No card yet · ${known}`}
          onPress={() => add({ kind: 'address', address: known, name })}
        />
      ))}
      {address === undefined ? null : (
        <OfferLine
          title={address}
          name={`Write to ${address}`}
          second="This address"
          onPress={() => add({ kind: 'address', address, name: before.trim() })}
        />
      )}
    </>
  );
}
