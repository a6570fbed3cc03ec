import { useState } from 'react';

import { selectTags } from '@/book/card';
import { useFoundInDirectory } from '@/book/directory';
import { useFoundByName } from '@/book/lists';
import { selectCardsByUid, useAppSelector, useServices } from '@/book/state';
import { useUnfiled } from '@/book/talks';
import { cardsTo, type MailDraft, type MailDraftNow } from '@/book/write';
import { tagsOf } from '@/core/card';
import { localDay } from '@/platform';
import { texts } from '@/texts/write/write';
import { OfferField } from '@/ui';

import { OFFERED, recipientOffers } from './recipientOffers';

/** People whom one search adds at most. */
const ALL = 5000;

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
  const offers = recipientOffers(
    { typed, found: found ?? [], listed, tags, unfiled: withoutCard?.open ?? [] },
    { add, addTagged, addFound: () => void addFound() },
  );
  return (
    <OfferField
      label={texts.toPeopleAndLists}
      value={text}
      onChange={setText}
      placeholder={texts.nameListTagOrAddress}
      testID="write-to"
      offers={offers}
      isKnown={found !== undefined}
    />
  );
}
