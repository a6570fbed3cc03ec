import { useEffect, useMemo, useState } from 'react';

import {
  selectCardsByUid,
  selectSettings,
  useAnswer,
  useAppDispatch,
  useAppSelector,
  useServices,
} from '@/book/state';
import type { Card, Uid } from '@/core/card';
import { findRecipients, type Recipients, type WriteTo } from '@/core/write';
import { localDay } from '@/platform';

import { emptyDraft, keepDraft, type MailDraft, type PlaceOf, readDraft } from './draft';

/** A message that is being written, and the people it goes to. */
export interface MailDraftNow {
  /** undefined until it has been read. */
  readonly draft: MailDraft | undefined;
  readonly set: (some: Partial<MailDraft>) => void;
  readonly recipients: Recipients;
  readonly placeOf: (key: string) => PlaceOf;
}

/** The message that is being written, kept with every change; its lists opened into people. */
export function useMailDraft(): MailDraftNow {
  const dispatch = useAppDispatch();
  const { search } = useServices();
  const cards = useAppSelector(selectCardsByUid);
  const { usedAddresses } = useAppSelector(selectSettings);
  const [draft, setDraft] = useState<MailDraft>();
  useEffect(() => {
    let isCurrent = true;
    void dispatch(readDraft()).then((read) => {
      if (isCurrent) setDraft(read);
    });
    return () => {
      isCurrent = false;
    };
  }, [dispatch]);
  const { to, addressOf, places, usual } = draft ?? emptyDraft;
  const lists = to.flatMap((one) => (one.kind === 'list' ? one.uid : []));
  const answer = useAnswer(JSON.stringify(lists), async () => {
    const found = await Promise.all(lists.map((uid) => search.onList(uid, localDay())));
    return new Map(lists.map((uid, i) => [uid, found[i] ?? []]));
  });
  const members = answer?.value;
  const recipients = useMemo(() => {
    const wanted = to.flatMap((one) => toWriteTo(one, (uid) => cards.get(uid), members));
    return findRecipients(wanted, (uid) => cards.get(uid), addressOf, usedAddresses);
  }, [to, addressOf, cards, members, usedAddresses]);
  const set = (some: Partial<MailDraft>) => {
    const next = { ...(draft ?? emptyDraft), ...some };
    setDraft(next);
    dispatch(keepDraft(next));
  };
  return { draft, set, recipients, placeOf: (key) => places[key] ?? usual };
}

function toWriteTo(
  one: MailDraft['to'][number],
  getCard: (uid: Uid) => Card | undefined,
  members: ReadonlyMap<Uid, readonly Uid[]> | undefined,
): WriteTo[] {
  if (one.kind !== 'list') return [one];
  const list = getCard(one.uid);
  return list ? [{ kind: 'list', list, members: members?.get(one.uid) ?? [] }] : [];
}
