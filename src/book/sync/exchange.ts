import {
  type AppThunk,
  exchangeFinished,
  type Pairing,
  roundEnded,
  selectCardsByUid,
  selectHub,
  selectReading,
} from '@/book/state';
import type { RefusedTalk } from '@/book/store';
import { errorMessage } from '@/core/base';
import { shownAs, type Uid } from '@/core/card';
import { HubFault, localDay, withTabLock } from '@/platform';
import { texts } from '@/texts/sync/sync';

import { joinEpoch, OTHER_EPOCH, pushAgain } from './epoch';
import { readPairing, setPairing } from './keptPairing';
import { pullFromHub } from './pullFromHub';
import { pushAll, pushQueued } from './pushToHub';

/** Rounds after which a page that is being edited continuously waits for the next occasion. */
const MAX_ROUNDS = 5;

/**
 * Pushes changes, then pulls. Pushing comes first: the hub knows what this browser knew, and so whether both sides
 * have changed the same value. Only one page of the browser does it at a time.
 *
 * @param bookName - of the lock between pages
 */
export function exchange(bookName: string): AppThunk<Promise<void>> {
  return (dispatch) => withTabLock(`${bookName}-exchange`, () => dispatch(exchangeOnce()));
}

/** @param isAgain - the hub has just said that it is in another epoch */
function exchangeOnce(isAgain = false): AppThunk<Promise<void>> {
  return async (dispatch, getState, { utcNow, writer }) => {
    if (!selectHub(getState()).pairing || selectReading(getState()) !== undefined) return;
    try {
      await dispatch(readPairing());
      await dispatch(joinEpoch(isAgain));
      for (let round = 0; round < MAX_ROUNDS; round += 1) {
        const pairing = selectHub(getState()).pairing;
        if (!pairing) return;
        await dispatch(exchangeRound(pairing));
        if (writer.queued().size === 0 && writer.talkQueue.size === 0) break;
      }
      // Ended in this browser in the meantime: the reason has been shown already.
      if (!selectHub(getState()).pairing) return;
      dispatch(noteRefusals());
      dispatch(exchangeFinished({ lastAt: utcNow() }));
    } catch (error) {
      if (!selectHub(getState()).pairing) return;
      // It begins again at once, with other cursors.
      if (!isAgain && error instanceof HubFault && error.status === OTHER_EPOCH)
        return await dispatch(exchangeOnce(true));
      const isLetGo = error instanceof HubFault && error.status === 401;
      if (isLetGo) await dispatch(setPairing(undefined));
      dispatch(exchangeFinished({ fault: isLetGo ? texts.thisBrowserIsNoLonger : errorMessage(error) }));
    } finally {
      dispatch(exchangeFinished({ work: undefined, waiting: writer.queued().size + writer.talkQueue.size }));
      dispatch(roundEnded());
    }
  };
}

/** Shows what the hub doesn't take. They stay queued. */
export function noteRefusals(): AppThunk {
  return (dispatch, _, { writer }) => {
    const refusals = writer.refusals();
    const [first] = refusals;
    const refusedTalks = writer.talkQueue.refusals();
    const ofTalks = refusedTalks.length === 0 ? '' : texts.talksWereNotTaken(refusedTalks.length);
    const fault = first ? dispatch(faultOf(...first, refusals.size)) : ofTalks;
    dispatch(exchangeFinished({ fault, refused: Object.fromEntries(refusals), refusedTalks }));
  };
}

/** Gives up pushing a card that the hub doesn't take; once it is changed it is pushed again. */
export function dropRefused(uid: Uid): AppThunk<Promise<void>> {
  return async (dispatch, _, { writer }) => {
    await writer.dropRefused(uid);
    dispatch(noteRefusals());
  };
}

/** Gives up pushing a talk that the hub doesn't take; once it is changed it is pushed again. */
export function dropRefusedTalk({ month, id }: RefusedTalk): AppThunk<Promise<void>> {
  return async (dispatch, _, { writer }) => {
    await writer.unqueueTalks(month, writer.talkQueue.stampOf(month, id));
    dispatch(noteRefusals());
  };
}

/** In words: the name of the first card and the reason. */
function faultOf(uid: Uid, reason: string, count: number): AppThunk<string> {
  return (_, getState) => {
    const card = selectCardsByUid(getState()).get(uid);
    return texts.cardsWereNotTaken(count, card ? `${shownAs(card)}: ${reason}` : reason);
  };
}

function exchangeRound(pairing: Pairing): AppThunk<Promise<void>> {
  return async (dispatch, getState, { writer }) => {
    if (pairing.isFirst) {
      await dispatch(pushAll(pairing));
      // Ended in the meantime: storing the progress would start it again.
      if (!selectHub(getState()).pairing) return;
      await dispatch(setPairing({ ...pairing, isFirst: false }));
    }
    if (pairing.isAhead === true) await dispatch(pushAgain(pairing));
    await dispatch(pushQueued(pairing));
    const { since, isWhole, lists, toSettle, mail } = await dispatch(pullFromHub(pairing, pairing.isFirst));
    await writer.flush();
    dispatch(exchangeFinished({ toSettle }));
    // The cursor moves only when everything is in the store.
    const now = selectHub(getState()).pairing;
    if (isWhole && !writer.isBusy && now && since !== now.since)
      await dispatch(setPairing({ ...now, since }));
    const { exchangeRecords, takeNewMail } = await import('./records');
    await dispatch(exchangeRecords());
    const { pairing: then } = selectHub(getState());
    if (then?.isAhead === true) await dispatch(setPairing({ ...then, isAhead: false }));
    // Rules may ask for talks: who is on a list is known once all of them are here.
    if (then?.records !== undefined) await dispatch(tellMembers(then, lists));
    await dispatch(takeNewMail(pairing.token, mail));
  };
}

/** Members pushed last, by pairing token, epoch and list: another hub knows nothing of them, nor one that was restored. */
const membersTold = new Map<string, string>();

/** Pushes the members of lists that passports need: rules may use talks, which the hub doesn't have. */
function tellMembers({ token, epoch = '' }: Pairing, lists: readonly string[]): AppThunk<Promise<void>> {
  return async (_, __, { hub, search }) => {
    for (const list of lists) {
      const uids = await search.onList(list, localDay());
      const text = uids.toSorted().join(' ');
      const key = `${token} ${epoch} ${list}`;
      if (membersTold.get(key) === text) continue;
      await hub.putMembers(token, list, uids);
      membersTold.set(key, text);
    }
  };
}
