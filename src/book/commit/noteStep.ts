import {
  type BeforeAfter,
  grown,
  parsePiece,
  type Step,
  type StepPiece,
  type TalkChange,
} from '@/book/history';
import { type AppThunk, bookChanged, selectSettings, selectSteps, type Services } from '@/book/state';
import { KEYS, parseJson } from '@/book/store';

import { readText } from './readSteps';

/** How a step is committed. */
export interface StepOptions {
  /** The hub knows of it already. */
  readonly isFromHub?: boolean;
}

/**
 * Notes a step with what it has just done to some cards: shows the cards, and has the step, the piece and the cards
 * written together.
 *
 * @param piece - undefined where only the step itself is new
 * @returns the step with the piece
 */
export function noteStep(
  begun: Step,
  piece: StepPiece | undefined,
  pairs: readonly BeforeAfter[],
  { isFromHub = false }: StepOptions = {},
): AppThunk<Step> {
  return (dispatch, getState, { writer }) => {
    // Something new was done: what had been undone can't be redone any more, after a reload either.
    if (begun.cause !== 'sync')
      for (const one of selectSteps(getState()))
        if (one.state === 'undone' && one.id !== begun.id) writer.putStep({ ...one, state: 'dropped' });
    let step = begun;
    if (piece) {
      const { cards, talks } = piece;
      const toKeep = talks ? { cards, talks: talks.map(slim) } : { cards };
      const size = dispatch(putPiece(begun.id, begun.pieces, toKeep));
      step = grown(begun, piece, size);
    }
    dispatch(showStep(step, pairs, isFromHub));
    return step;
  };
}

/**
 * Notes how far a step has been undone or redone.
 *
 * @param at - the piece that has just been, as it is now, and the cards it has changed; undefined where none has
 */
export function noteReplay(
  step: Step,
  at?: { readonly at: number; readonly piece: StepPiece },
  pairs: readonly BeforeAfter[] = [],
): AppThunk {
  return (dispatch) => {
    if (at) dispatch(putPiece(step.id, at.at, at.piece));
    dispatch(showStep(step, pairs, false, true));
  };
}

function showStep(step: Step, pairs: readonly BeforeAfter[], isFromHub: boolean, isReplay = false): AppThunk {
  return (dispatch, getState, { writer, search }) => {
    const upserts = pairs.flatMap(({ after }) => after ?? []);
    const removed = pairs.flatMap(({ before, after }) => (after || !before ? [] : before.uid));
    dispatch(bookChanged({ upserts, removed, step, isReplay }));
    writer.putCards(upserts, removed, isFromHub);
    writer.putStep(step);
    void search.put(upserts, removed, selectSettings(getState()).country);
  };
}

/** Has a piece written, and which files it needs. @returns its length in characters */
function putPiece(id: string, at: number, { cards, talks }: StepPiece): AppThunk<number> {
  return (_, __, { writer }) => {
    const text = JSON.stringify({ cards, ...(talks ? { talks } : {}) });
    const key = pieceKey(id, at);
    writer.put(`${KEYS.piece}${key}`, text);
    const files = filesOf(cards, text);
    if (files.length > 0) writer.put(`${KEYS.pieceFiles}${key}`, JSON.stringify(files));
    return text.length;
  };
}

/** What a step did at one place of it; undefined where that is gone or damaged. */
export async function readPiece(services: Services, id: string, at: number): Promise<StepPiece | undefined> {
  return parsePiece(parseJson(await readText(services, `${KEYS.piece}${pieceKey(id, at)}`)));
}

/** The name of a piece among all of them; those of a step sort by their order. */
export function pieceKey(id: string, at: number): string {
  return `${id}:${String(at).padStart(5, '0')}`;
}

/** The records of what a long change has still to do. */
export function todoKeys(id: string, pieces: number): string[] {
  return Array.from({ length: pieces }, (_, i) => `${KEYS.todo}${pieceKey(id, i)}`);
}

/** The ids of photos and other files that a text of the store names. */
export function filesIn(text: string): string[] {
  return [...new Set([...text.matchAll(/"blobId":"([^"\\]+)"/g)].map(([, id = '']) => id))];
}

/** The ids of files that a piece needs, so that it can be undone. @param text - of the piece */
export function filesOf(cards: StepPiece['cards'], text: string): string[] {
  const alone = cards.flatMap((one) =>
    one.kind === 'edit'
      ? one.edits.flatMap(({ path, before, after }) => (path.at(-1) === 'blobId' ? [before, after] : []))
      : [],
  );
  return [...new Set([...filesIn(text), ...alone.flatMap((id) => (typeof id === 'string' ? [id] : []))])];
}

/** A talk that came is found again by its id, its day and its people; what it says is kept once it has been undone. */
function slim(change: TalkChange): TalkChange {
  const { before, after } = change;
  if (before || !after) return change;
  const { about: _, files: __, ...rest } = after;
  return { after: { ...rest, said: '' }, isSlim: true };
}
