import { changeMany } from '@/book/commit';
import { selectSettings, useAppDispatch, useAppSelector, useCardGetter, useServices } from '@/book/state';
import { sendMeeting } from '@/book/talks';
import type { Card, Uid } from '@/core/card';
import { type Meeting, type PlannedMeeting, withMeeting } from '@/core/talks';
import { formatDay } from '@/platform';
import { texts } from '@/texts/card/talk';

import { toId } from './toId';

/** Adds an appointment to the cards of everybody who comes, or removes it, and sends the invitation where asked to. */
export function useMeetingChanges(card: Card, planned: PlannedMeeting | undefined) {
  const dispatch = useAppDispatch();
  const { newUid } = useServices();
  const getCard = useCardGetter();
  const { ownAddresses } = useAppSelector(selectSettings);
  const known = (uids: readonly Uid[]) =>
    uids.flatMap((uid) => (uid === card.uid ? card : (getCard(uid) ?? [])));
  const send = (id: string, meeting: Meeting, people: readonly Card[], method: 'REQUEST' | 'CANCEL') =>
    dispatch(sendMeeting({ id, meeting, people, method, organizer: ownAddresses[0] }));
  const save = async (meeting: Meeting, uids: readonly Uid[], isSent: boolean) => {
    const id = planned?.id ?? toId(newUid());
    const cards = known([...new Set([...uids, ...(planned?.uids ?? [])])]);
    const label = `${planned ? texts.changed : texts.arranged}: ${meeting.title}, ${formatDay(`${meeting.day}T12:00:00Z`)}`;
    const change = (one: Card) => withMeeting(one, id, uids.includes(one.uid) ? meeting : undefined);
    await dispatch(changeMany({ cards, label, change }));
    if (isSent) await send(id, meeting, known(uids), 'REQUEST');
  };
  const remove = async (isSent: boolean) => {
    if (!planned) return;
    const { id, meeting } = planned;
    const cards = known(planned.uids);
    const change = (one: Card) => withMeeting(one, id, undefined);
    await dispatch(changeMany({ cards, label: texts.deleted(meeting.title), change }));
    const sequence = (meeting.sequence ?? 0) + 1;
    if (isSent) await send(id, { ...meeting, sequence }, cards, 'CANCEL');
  };
  return { save, remove };
}
