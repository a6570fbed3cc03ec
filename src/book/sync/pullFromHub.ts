import { commit, isOnlyStamped, newStep } from '@/book/commit';
import { type BeforeAfter, toCardChanges } from '@/book/history';
import {
  type AppThunk,
  noticeShown,
  type Pairing,
  recordsSetAside,
  selectCardsByUid,
  selectSetAside,
} from '@/book/state';
import { detachPhotos, KEYS, keysUnder, parseJson } from '@/book/store';
import { type Card, parseCard, shownAs, type Uid } from '@/core/card';
import { fromHub, type Pull } from '@/core/sync';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/sync';

/** The result of a pull. */
export interface PulledCards {
  /** The new cursor. */
  readonly since: number;
  /** Whether everything was applied; cards being changed here are pushed first and pulled again. */
  readonly isWhole: boolean;
  readonly lists: readonly Uid[];
  readonly toSettle: number;
  /** The last message of the hub's mailbox. */
  readonly mail: number;
}

/** Pulls others' changes, page by page; a step of the history for each source. @param isQuiet - nothing is said of it */
export function pullFromHub(pairing: Pairing, isQuiet: boolean): AppThunk<Promise<PulledCards>> {
  return async (dispatch, _, { hub }) => {
    await dispatch(takeSetAside(isQuiet));
    let isWhole = true;
    let at = pairing.since;
    for (;;) {
      const page = await hub.pull(pairing, at);
      isWhole = (await dispatch(takeCards(page.cards, isQuiet))) && isWhole;
      at = page.seq;
      if (page.isMore) continue;
      const { lists, toSettle, mail } = page;
      return { since: at, isWhole, lists, toSettle, mail };
    }
  };
}

/** A card that can't be read here, by a newer version's hand say, is kept until it can. */
function setAside(uid: Uid, card: unknown, message: string): AppThunk {
  return (dispatch, _, { writer }) => {
    writer.put(`${FROM_HUB}${uid}`, JSON.stringify(card));
    dispatch(recordsSetAside([`${FROM_HUB.slice(KEYS.aside.length)}${uid}: ${message}`]));
  };
}

/** Cards that could not be read when they came and can be now, as a newer version may. */
export function takeSetAside(isQuiet: boolean): AppThunk<Promise<void>> {
  return async (dispatch, getState, { storage, writer }) => {
    if (!selectSetAside(getState()).some((name) => name.startsWith('hub:'))) return;
    const keys = keysUnder(await storage.getAllKeys(), FROM_HUB);
    if (keys.length === 0) return;
    const stored = await storage.getMany(keys);
    const readable = keys.flatMap((key) => {
      const card = parseJson(stored[key]);
      return parseCard(card).kind === 'card' ? [{ key, uid: key.slice(FROM_HUB.length), card }] : [];
    });
    const cards = readable.map(({ uid, card }) => ({ uid, card, by: null }));
    if (await dispatch(takeCards(cards as Pull['cards'], isQuiet)))
      await writer.remove(readable.map(({ key }) => key));
  };
}

/** Cards from the hub that can't be read. */
const FROM_HUB = `${KEYS.aside}hub:`;

interface Arrived {
  readonly uid: Uid;
  readonly card: Card | undefined;
  readonly by: string | null;
}

/** @returns whether every card of it was taken in */
function takeCards(cards: Pull['cards'], isQuiet: boolean): AppThunk<Promise<boolean>> {
  return async (dispatch, getState, services) => {
    const arrived: Arrived[] = [];
    const photos: Record<string, string> = {};
    for (const { uid, card, by } of cards) {
      const parsed = card === null ? undefined : parseCard(card);
      if (parsed?.kind === 'fault') {
        dispatch(setAside(uid, card, parsed.message));
        continue;
      }
      const detached = parsed && detachPhotos(parsed.card);
      Object.assign(photos, detached?.photos);
      arrived.push({ uid, card: detached?.card, by });
    }
    // Together with the cards that need them, as everything else.
    for (const [id, uri] of Object.entries(photos)) services.writer.put(`${KEYS.photo}${id}`, uri);
    // From here on nothing is awaited: no edit may come between reading a card and changing it.
    const { writer } = services;
    const known = selectCardsByUid(getState());
    let isWhole = true;
    const bySource = new Map<string | null, BeforeAfter[]>();
    for (const { uid, card, by } of arrived) {
      const mine = known.get(uid);
      if (writer.queued().has(uid)) isWhole = false;
      else if (mine?.['cordialis.example:private'] === true) {
        // It has returned to the hub, where it doesn't belong: its deletion is pushed again.
        if (card) writer.sawQueued([uid]);
      } else {
        const pairs = bySource.get(by) ?? [];
        pairs.push({ before: mine, after: card && fromHub(mine, card) });
        bySource.set(by, pairs);
      }
    }
    for (const [by, pairs] of bySource) dispatch(takeChanges(by, pairs, isQuiet));
    return isWhole;
  };
}

function takeChanges(by: string | null, pairs: readonly BeforeAfter[], isQuiet: boolean): AppThunk {
  return (dispatch, _, services) => {
    const changed = pairs.filter((pair) => !isOnlyStamped(pair));
    if (changed.length === 0) return;
    const label = labelOf(by, changed);
    const begun = newStep(services, { cause: 'sync', label, at: services.utcNow() });
    const step = dispatch(commit(begun, { cards: toCardChanges(changed) }, changed, { isFromHub: true }));
    if (!isQuiet) dispatch(noticeShown({ text: label, tone: 'plain', changeId: step.id }));
  };
}

/** "Phone: changed Ada Lowther", "Laptop: 12 cards". */
function labelOf(by: string | null, pairs: readonly BeforeAfter[]): string {
  const who = by ?? texts.hub;
  const [{ before, after } = {}, second] = pairs;
  if (second) return texts.changedCards(who, pairs.length);
  const says = !after ? texts.deletedCard : before ? texts.changedCard : texts.addedCard;
  const card = after ?? before;
  return says(who, card ? shownAs(card) : shared.card);
}
