import { type AppThunk, exchangeFinished, type Pairing, selectCardsByUid } from '@/book/state';
import { withPhotos } from '@/book/store';
import { inBatches } from '@/core/base';
import type { Card, Uid } from '@/core/card';
import { cardForHub, CARDS_AT_ONCE } from '@/core/sync';

/** What the hub refused, by uid, in words. */
export type Refused = Readonly<Record<Uid, string>>;

/** Pushes every card, once after pairing; after an interruption it starts over, which is idempotent. */
export function pushAll(pairing: Pairing): AppThunk<Promise<void>> {
  return async (dispatch, getState, { writer }) => {
    const uids = [...selectCardsByUid(getState()).values()].map(({ uid }) => uid);
    let done = 0;
    for (const piece of inBatches(uids, CARDS_AT_ONCE)) {
      dispatch(exchangeFinished({ work: { done, total: uids.length } }));
      const refused = await dispatch(push(pairing, piece, false));
      writer.keepQueued(Object.keys(refused));
      writer.refuse(writer.queued(), refused);
      done += piece.length;
    }
  };
}

/** Pushes changes since the last push. What the hub refuses stays queued, with its reason, until it has changed. */
export function pushQueued(pairing: Pairing): AppThunk<Promise<void>> {
  return async (dispatch, _, { writer }) => {
    // What isn't in the store may be lost with this page, and the hub would never give it back to who has told it.
    await writer.flush();
    const all = [...writer.queued()];
    let done = 0;
    for (const piece of inBatches(all, CARDS_AT_ONCE)) {
      if (all.length > CARDS_AT_ONCE) dispatch(exchangeFinished({ work: { done, total: all.length } }));
      const pushed = new Map(piece.filter(([uid]) => !writer.isWaiting(uid)));
      const refused = await dispatch(push(pairing, [...pushed.keys()], true));
      writer.refuse(pushed, refused);
      await writer.unqueue(new Map([...pushed].filter(([uid]) => !Object.hasOwn(refused, uid))));
      done += piece.length;
    }
  };
}

/** Says of cards that they aren't here any more. */
export function pushGone(pairing: Pairing, uids: readonly Uid[]): AppThunk<Promise<void>> {
  return async (dispatch) => {
    for (const piece of inBatches(uids, CARDS_AT_ONCE)) await dispatch(push(pairing, piece, true));
  };
}

/** @param withDeletions - whether a card that isn't here has been deleted here */
function push(pairing: Pairing, uids: readonly Uid[], withDeletions: boolean): AppThunk<Promise<Refused>> {
  return async (_, getState, { hub, photos }) => {
    const byUid = selectCardsByUid(getState());
    const open = uids.flatMap((uid): Card[] => {
      const card = byUid.get(uid);
      const visible = card && cardForHub(card);
      return visible ? [visible] : [];
    });
    const sent = new Map((await withPhotos(open, photos)).map((card) => [card.uid, card]));
    // A card that has become private is deleted on the hub.
    const changes = uids.flatMap((uid) => {
      const card = sent.get(uid) ?? null;
      return card || withDeletions ? [{ uid, card }] : [];
    });
    return changes.length === 0 ? {} : hub.push(pairing, { since: pairing.since, changes });
  };
}
