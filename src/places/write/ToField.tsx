import { useState } from 'react';

import {
  cardsTo,
  type MailDraft,
  type MailDraftNow,
  selectCardsByUid,
  selectTags,
  useAppSelector,
  useFoundByName,
  useFoundInDirectory,
  useServices,
  useUnfiled,
} from '@/book';
import { tagsOf } from '@/core/marks';
import { foldText } from '@/core/text';
import { formatCount, localDay } from '@/platform';
import { Field, OfferLine } from '@/ui';

/** People and lists offered at once. */
const OFFERED = 6;
/** People without a card offered at once. */
const UNFILED = 3;
/** Tags offered at once. */
const TAGS = 2;
/** People whom one search adds at most. */
const ALL = 5000;
/** "Bo Ek <bo@example.org>", or the address alone. */
const ADDRESS = /^(.*?)[\s,;]*<?([^\s<>,;@]+@[^\s<>,;@]+)>?\s*$/;

interface ToFieldProps {
  readonly draft: MailDraft;
  readonly set: MailDraftNow['set'];
}

/** Addresses the message to people, lists, everybody with a tag or found by a search, or to an address nobody has. */
export function ToField({ draft, set }: ToFieldProps) {
  const [text, setText] = useState('');
  const { search } = useServices();
  const cards = useAppSelector(selectCardsByUid);
  const tags = useAppSelector(selectTags);
  const typed = text.trim();
  const found = useFoundByName(typed, OFFERED + 10);
  const addMany = (all: MailDraft['to']) => {
    setText('');
    const known = new Set(draft.to.map((one) => JSON.stringify(one)));
    const fresh = all.filter((one) => !known.has(JSON.stringify(one)));
    if (fresh.length > 0) set({ to: [...draft.to, ...fresh] });
  };
  const add = (one: MailDraft['to'][number]) => addMany([one]);
  const addTagged = (tag: string) =>
    addMany(cardsTo(cards.values().flatMap((card) => (tagsOf(card).includes(tag) ? card.uid : []))));
  const addFound = async () => {
    const all = await search.find(typed, ALL, localDay());
    addMany(cardsTo(all.hits.flatMap(({ kind, uid }) => (kind === 'list' ? [] : uid))));
  };
  const listed = useFoundInDirectory(typed, OFFERED);
  const withoutCard = useUnfiled();
  const hits = (found ?? []).slice(0, OFFERED);
  const people = (found ?? []).filter(({ kind, isNear }) => kind !== 'list' && isNear !== true).length;
  const wanted = foldText(typed.replace(/^#/, ''));
  const tagged =
    wanted === '' ? [] : tags.filter(({ tag }) => foldText(tag).startsWith(wanted)).slice(0, TAGS);
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
        placeholder="A name, a list, a tag, or an address"
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
      {people > 1 ? (
        <OfferLine
          key="everybody"
          name={`Write to everybody found by ${typed}`}
          title={`Everybody found by “${typed}”`}
          second={people > OFFERED ? `${people} people or more` : `${people} people`}
          onPress={() => void addFound()}
        />
      ) : null}
      {tagged.map(({ tag, count }) => (
        <OfferLine
          key={`tag ${tag}`}
          name={`Write to everybody tagged ${tag}`}
          title={`Everybody tagged ${tag}`}
          second={formatCount(count, 'card', 'cards')}
          onPress={() => addTagged(tag)}
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
