import { changeBook } from '@/book/commit';
import { edited } from '@/book/history';
import { useAppDispatch, useCardGetter, useServices } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import { type PlannedMeeting, type Talk, withMeeting } from '@/core/talks';
import { localDay, localTime } from '@/platform';
import { texts } from '@/texts/card/talk';

import { KIND_WORDS } from '../parts/talkWords';
import type { Draft } from './drafts';

interface TalkSubject {
  readonly card: Card;
  readonly talk?: Talk | undefined;
  readonly meeting?: PlannedMeeting | undefined;
}

/** Writes a talk, or takes it away; with a new one the day set by hand, the opener and the appointment change too. */
export function useTalkChanges({ card, talk, meeting }: TalkSubject) {
  const dispatch = useAppDispatch();
  const { newUid } = useServices();
  const getCard = useCardGetter();
  const name = shownAs(card) || texts.them;
  /** @param next - the day of the next talk, set by hand; undefined for none */
  const save = async (draft: Draft, next: string | undefined) => {
    const said = toTalk(talk ?? newTalk(newUid(), draft, meeting), draft);
    const kind = KIND_WORDS[said.kind].toLowerCase();
    const label = talk ? texts.changedTalk(kind, name) : texts.notedTalk(kind, name);
    const change = { ...(talk ? { before: talk } : {}), after: said };
    const people = new Set([...draft.with, ...(meeting?.uids ?? [])]);
    const others = [...people].flatMap((uid) => (uid === card.uid ? [] : (getCard(uid) ?? [])));
    const done = (one: Card) => (meeting ? withMeeting(one, meeting.id, undefined) : one);
    const edits = talk
      ? []
      : [
          edited(card.uid, (now) => done(withNext(now, next, draft.opener))),
          ...others.map(({ uid }) => edited(uid, (now) => done(withoutDue(now, said.day)))),
        ];
    await dispatch(changeBook({ cause: 'edit', label, edits, talks: [change] }));
  };
  const remove = async () => {
    const label = texts.deletedTalkWith(name);
    await dispatch(changeBook({ cause: 'delete', label, talks: talk ? [{ before: talk }] : [] }));
  };
  return { save, remove };
}

type TalkBegin = Pick<Talk, 'id' | 'time' | 'intake'>;

function newTalk(id: string, { day }: Draft, meeting: PlannedMeeting | undefined): TalkBegin {
  const time = meeting ? meeting.meeting.time : day === localDay() ? localTime() : undefined;
  return { id, ...(time === undefined ? {} : { time }) };
}

function toTalk({ id, time, intake }: TalkBegin, draft: Draft): Talk {
  const about = draft.about.trim();
  return {
    ...{ id, kind: draft.kind, direction: draft.direction, day: draft.day },
    ...(time === undefined ? {} : { time }),
    ...(intake === undefined ? {} : { intake }),
    ...{ with: [...draft.with], said: draft.said.trim() },
    ...(about === '' ? {} : { about }),
    ...(draft.files.length === 0 ? {} : { files: [...draft.files] }),
  };
}

/** A day set by hand is used up by the talk; a new one takes its place, and so does the opener. */
function withNext(card: Card, next: string | undefined, opener: string): Card {
  const { 'cordialis.example:due': _, 'cordialis.example:opener': __, ...rest } = card;
  return {
    ...rest,
    ...(next === undefined ? {} : { 'cordialis.example:due': next }),
    ...(opener.trim() === '' ? {} : { 'cordialis.example:opener': opener.trim() }),
  };
}

/** Of others who were there a day set by hand is used up once it has come. */
function withoutDue(card: Card, day: string): Card {
  const { 'cordialis.example:due': due, ...rest } = card;
  return due !== undefined && due <= day ? rest : card;
}
