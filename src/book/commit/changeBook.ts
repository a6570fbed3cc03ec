import type { UidMap } from '@/book/clients';
import {
  type BeforeAfter,
  type CardEdit,
  type Cause,
  type Step,
  type StepPiece,
  type TalkChange,
  toCardChanges,
} from '@/book/history';
import { type AppThunk, cardsChanged, noticeShown, selectCardsByUid, type Services } from '@/book/state';
import { detachPhotos, KEYS } from '@/book/store';
import type { Card, Uid } from '@/core/card';

import { applySides } from './applySide';
import { putTalks } from './changeTalks';
import { noteStep, type StepOptions } from './noteStep';

/** A request to change the book. */
export interface ChangeRequest {
  readonly cause: Cause;
  /** For the log and the notice: "Deleted Ada Lowther". */
  readonly label: string;
  readonly edits?: readonly CardEdit[];
  /** Talks added, deleted or changed with it. */
  readonly talks?: readonly TalkChange[];
  /** The step it completes, begun earlier. */
  readonly completes?: Step | undefined;
  /** No notice is shown: the user didn't just ask for it. */
  readonly isQuiet?: boolean;
}

/**
 * The one way in which the user changes the book: works the edits out on the cards as they are, notes the change in the
 * history, shows it, has it written, offers to undo it. From working out to showing nothing else comes between.
 *
 * @returns the step, or undefined where nothing differs
 */
export function changeBook({
  cause,
  label,
  edits = [],
  talks = [],
  completes,
  isQuiet = false,
}: ChangeRequest): AppThunk<Promise<Step | undefined>> {
  return (dispatch, getState, services) => {
    const at = services.utcNow();
    const pairs = applyToBook(services, selectCardsByUid(getState()), edits, cause, at);
    const cards = toCardChanges(pairs);
    if (cards.length === 0 && talks.length === 0 && !completes) return Promise.resolve(undefined);
    const begun = completes ? { ...completes, label } : newStep(services, { cause, label, at });
    const piece = { cards, ...(talks.length === 0 ? {} : { talks }) };
    const step = dispatch(commit(begun, piece, pairs));
    if (!isQuiet) dispatch(noticeShown({ text: label, tone: 'plain', changeId: step.id }));
    return Promise.resolve(step);
  };
}

/**
 * Works edits out on the cards as they are. Photos are detached and written with the cards; cards that don't change are
 * left out.
 *
 * @param at - UTCDateTime at which they are changed; what an import brings keeps its own
 */
export function applyToBook(
  { writer }: Services,
  known: UidMap<Card>,
  edits: readonly CardEdit[],
  cause: Cause,
  at: string,
): BeforeAfter[] {
  const now = new Map<Uid, Card | undefined>();
  for (const { uid, apply } of edits) now.set(uid, apply(now.has(uid) ? now.get(uid) : known.get(uid)));
  return [...now].flatMap(([uid, whole]): BeforeAfter[] => {
    const before = known.get(uid);
    if (whole === before) return [];
    if (!whole) return [{ before }];
    const { card, photos } = detachPhotos(whole);
    const pair = { before, after: cause === 'import' ? card : { ...card, updated: at } };
    if (isOnlyStamped(pair)) return [];
    for (const [id, uri] of Object.entries(photos)) writer.put(`${KEYS.photo}${id}`, uri);
    return [pair];
  });
}

/** A new step of the history, which has done nothing yet; its id sorts by time. */
export function newStep(
  services: Services,
  some: Pick<Step, 'cause' | 'label' | 'at' | 'sides' | 'intake'>,
): Step {
  const id = `${String(services.nowMs()).padStart(14, '0')}-${services.newUid().slice(-8)}`;
  return { ...some, id, state: 'done', ...{ cards: 0, talks: 0, pieces: 0, size: 0 } };
}

/** Whether nothing but the date of a card differs. */
export function isOnlyStamped(pair: BeforeAfter): boolean {
  return toCardChanges([pair]).length === 0;
}

/** Records a change of settings and the like only, and applies it at once: a field that is typed in can't wait. */
export function changeSides(step: Step, isQuiet = false): AppThunk {
  return (dispatch) => {
    dispatch(commit(step, undefined, []));
    if (!isQuiet) dispatch(noticeShown({ text: step.label, tone: 'plain', changeId: step.id }));
  };
}

/**
 * Commits a step that is new, or goes on, whoever makes it: notes it, shows the cards, has both written, and applies what
 * goes with it.
 *
 * @param piece - what it does; undefined where that is nothing but its sides
 * @param pairs - the cards it changes, as they are now and as they shall be
 * @returns the step with what has been added to it
 */
export function commit(
  begun: Step,
  piece: StepPiece | undefined,
  pairs: readonly BeforeAfter[],
  options: StepOptions = {},
): AppThunk<Step> {
  return (dispatch) => {
    const step = dispatch(noteStep(begun, piece, pairs, options));
    dispatch(
      cardsChanged({
        cause: step.cause,
        pairs: pairs.flatMap(({ before, after }) => (after ? [{ before, after }] : [])),
      }),
    );
    dispatch(applySides(step));
    const { talks = [] } = piece ?? {};
    if (talks.length > 0) void dispatch(putTalks(talks, options.isFromHub === true));
    return step;
  };
}
