import {
  added,
  type CardEdit,
  changed,
  removed,
  type Step,
  type StepPiece,
  type TalkChange,
  toCardChanges,
} from '@/book/history';
import {
  type AppThunk,
  cardsChanged,
  type ChangedCard,
  noticeShown,
  selectCardsByUid,
  stepsGone,
} from '@/book/state';
import { detachPhotos, KEYS, parseJson } from '@/book/store';
import { inBatches, isObject } from '@/core/base';
import type { Card } from '@/core/card';
import { monthOf, type Talk } from '@/core/talks';

import { applySides } from './applySide';
import { applyToBook, changeBook, type ChangeRequest, newStep } from './changeBook';
import { inTurn, putNow } from './changeTalks';
import { storeTalks } from './importedTalks';
import { noteStep, pieceKey, todoKeys } from './noteStep';
import { readStep, readText } from './readSteps';
import { undo } from './replay';

/** What a long change does at a time, before yielding to the page. */
export interface LongPiece {
  readonly edits: readonly CardEdit[];
  readonly talks?: readonly TalkChange[];
  /** How much of the whole is prepared with it, 0 to 1. */
  readonly share01: number;
}

/** How a long change is watched and stopped. */
export interface BatchOptions {
  readonly onProgress?: (share01: number, cards: number) => void;
  /** Asked between two pieces; what has been done so far is undone. */
  readonly isStopped?: () => boolean;
}

/** Preparing is this share of the work. */
const PREPARING = 0.3;

/**
 * A change that takes its time. It is prepared first, so that its pieces lie in the store: each as the cards were and as
 * they shall be. Then they are done one after the other, each on the cards as they are when its turn comes; step, piece
 * and cards are written together. It is over when all of it is in the store. What a closed page leaves half done is found
 * at the next start, to be finished or undone.
 *
 * @returns the step, or undefined where nothing differs or the user has stopped it
 */
export function changeLong(
  { cause, label, sides }: Pick<ChangeRequest, 'cause' | 'label'> & Pick<Step, 'sides'>,
  pieces: Iterable<LongPiece> | AsyncIterable<LongPiece>,
  options: BatchOptions = {},
): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, _, services) => {
    const made = newStep(services, { cause, label, at: services.utcNow(), ...(sides ? { sides } : {}) });
    const begun = { ...made, todo: { next: 0, pieces: 0 } };
    const over = await services.ifAlone(begun.id, async () => {
      const prepared = await dispatch(prepare(begun, pieces, options));
      return prepared && dispatch(carryOut(prepared, options));
    });
    return dispatch(endLong(over));
  };
}

/** Goes on with a long change that a page left half done. */
export function finishLong(step: Step, options: BatchOptions = {}): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, _, services) => {
    const over = await services.ifAlone(step.id, async () => {
      // Another page may have gone on with it, and this one not have heard of that yet.
      const now = await readStep(services, step.id);
      return now?.todo && dispatch(carryOut(now, options));
    });
    return dispatch(endLong(over));
  };
}

/** Lets an import of talks that was interrupted stand as far as it came. */
export function keepAsItIs(step: Step): AppThunk<Promise<void>> {
  return async (dispatch, _, services) => {
    await services.ifAlone(step.id, async () => {
      const now = await readStep(services, step.id);
      if (!now?.todo) return;
      const { todo: __, ...rest } = now;
      dispatch(noteStep(rest, undefined, []));
    });
  };
}

/** Says that it is done, or undoes what has been done of it where it was stopped. */
function endLong(step: Step | undefined): AppThunk<Promise<Step | undefined>> {
  return async (dispatch) => {
    if (!step) return undefined;
    if (step.todo) {
      await dispatch(undo(step.id));
      return undefined;
    }
    dispatch(noticeShown({ text: step.label, tone: 'plain', changeId: step.id }));
    return step;
  };
}

/** @returns undefined where nothing differs, or it was stopped: then nothing is left of it */
function prepare(
  begun: Step,
  pieces: Iterable<LongPiece> | AsyncIterable<LongPiece>,
  { onProgress, isStopped = () => false }: BatchOptions,
): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, getState, services) => {
    const { writer } = services;
    let count = 0;
    let cards = 0;
    try {
      for await (const { edits, talks = [], share01 } of pieces) {
        const known = selectCardsByUid(getState());
        const pairs = edits.flatMap(({ uid, apply }): TodoPair[] => {
          const before = known.get(uid);
          const whole = apply(before);
          if (whole === before) return [];
          if (!whole) return before ? [[before, null]] : [];
          const { card, photos } = detachPhotos(whole);
          for (const [id, uri] of Object.entries(photos)) writer.put(`${KEYS.photo}${id}`, uri);
          return [[before ?? null, card]];
        });
        cards += edits.length;
        if (pairs.length + talks.length > 0) {
          writer.put(`${KEYS.todo}${pieceKey(begun.id, count)}`, JSON.stringify({ cards: pairs, talks }));
          if (count === 0) writer.putStep(begun);
          count += 1;
        }
        if (!(await writer.untilWritten(isStopped)) || isStopped()) break;
        onProgress?.(PREPARING * share01, cards);
        await services.yieldToPage();
      }
    } catch (error) {
      await dispatch(discardLong(begun, count));
      throw error;
    }
    if (count > 0 && !isStopped()) return { ...begun, todo: { next: 0, pieces: count } };
    await dispatch(discardLong(begun, count));
    return undefined;
  };
}

/** Removes what was prepared for a long change of which nothing has been done. */
export function discardLong({ id }: Step, pieces: number): AppThunk<Promise<void>> {
  return async (dispatch, _, { writer }) => {
    dispatch(stepsGone([id]));
    await writer.remove([...todoKeys(id, pieces), `${KEYS.step}${id}`]);
  };
}

/** Does what is still to do. @returns the step as far as it came: with `todo` where it was stopped */
function carryOut(
  begun: Step,
  { onProgress, isStopped = () => false }: BatchOptions,
): AppThunk<Promise<Step>> {
  return async (dispatch, getState, services) => {
    const { writer } = services;
    const { next, pieces } = begun.todo ?? { next: 0, pieces: 0 };
    const arrived: ChangedCard[] = [];
    let step = begun;
    for (let i = next; i < pieces; i += 1) {
      if (isStopped()) return step;
      const key = `${KEYS.todo}${pieceKey(step.id, i)}`;
      const { cards, talks } = readTodo(await readText(services, key));
      const adds = addedIn(talks);
      if (adds) await dispatch(storeTalks(...adds));
      const doPiece = () => {
        // From working the piece out to putting it nothing else comes between.
        const edits = cards.flatMap(editOf);
        const pairs = applyToBook(services, selectCardsByUid(getState()), edits, step.cause, step.at);
        const piece: StepPiece = {
          cards: toCardChanges(pairs),
          ...(talks.length === 0 ? {} : { talks }),
        };
        const { todo: _, ...rest } = step;
        const going = i === pieces - 1 ? rest : { ...rest, todo: { next: i + 1, pieces } };
        step = dispatch(noteStep(going, piece, pairs));
        writer.put(key, '');
        for (const { before, after } of pairs) if (after) arrived.push({ before, after });
      };
      if (talks.length === 0 || adds) doPiece();
      else
        await inTurn(services, () => {
          doPiece();
          return dispatch(putNow(talks));
        });
      await writer.untilWritten(isStopped);
      onProgress?.(PREPARING + ((1 - PREPARING) * (i + 1)) / pieces, step.cards);
      await services.yieldToPage();
    }
    // Stopped at the last moment, when it may not be in the store yet.
    if (isStopped()) return { ...step, todo: { next: pieces, pieces } };
    await writer.remove(todoKeys(step.id, pieces));
    dispatch(applySides(step));
    dispatch(cardsChanged({ cause: step.cause, pairs: arrived }));
    return step;
  };
}

/** A card as it was and as it shall be; null where there is none. */
type TodoPair = readonly [before: Card | null, after: Card | null];

interface Todo {
  readonly cards: readonly TodoPair[];
  readonly talks: readonly TalkChange[];
}

function readTodo(text: string | null): Todo {
  const value = parseJson(text);
  // Written by this program only, together with the step that it belongs to.
  return isObject(value) ? (value as unknown as Todo) : { cards: [], talks: [] };
}

function editOf([before, after]: TodoPair): CardEdit[] {
  if (after) return [before ? changed(before, after) : added(after)];
  return before ? [removed(before)] : [];
}

/** Talks that all come, and into one month: they go into it at once. */
function addedIn(talks: readonly TalkChange[]): readonly [month: string, talks: readonly Talk[]] | undefined {
  const come = talks.flatMap(({ before, after }) => (after && !before ? [after] : []));
  const [first] = come;
  if (!first || come.length < talks.length) return undefined;
  const month = monthOf(first);
  return come.every((talk) => monthOf(talk) === month) ? [month, come] : undefined;
}

/** Cards that are changed at a time. */
const PIECE = 200;

/**
 * Changes many cards without holding the page up, as one step of the history. Few are changed at once; either way it is
 * over when they are in the store.
 *
 * @returns the step, or undefined where nothing differs or the user has stopped it
 */
export function changeInBatches(
  { cause, label, edits = [] }: Pick<ChangeRequest, 'cause' | 'label' | 'edits'>,
  { pieceSize = PIECE, ...options }: BatchOptions & { readonly pieceSize?: number } = {},
): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, _, { writer }) => {
    if (edits.length > pieceSize)
      return dispatch(changeLong({ cause, label }, piecesOf(edits, pieceSize), options));
    const step = await dispatch(changeBook({ cause, label, edits }));
    if (!step || (await writer.untilWritten(options.isStopped))) return step;
    await dispatch(undo(step.id));
    return undefined;
  };
}

function* piecesOf(edits: readonly CardEdit[], size: number): Iterable<LongPiece> {
  let seen = 0;
  for (const piece of inBatches(edits, size)) {
    seen += piece.length;
    yield { edits: piece, share01: seen / edits.length };
  }
}
