import { commit, isOnlyStamped, newStep } from '@/book/commit';
import { type BeforeAfter, toCardChanges } from '@/book/history';
import { type AppThunk, noticeShown, type Pairing, selectCardsByUid } from '@/book/state';
import { detachPhotos } from '@/book/store';
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
export function pullFromHub({ token, since }: Pairing, isQuiet: boolean): AppThunk<Promise<PulledCards>> {
  return async (dispatch, _, { hub }) => {
    let isWhole = true;
    let at = since;
    for (;;) {
      const page = await hub.pull(token, at);
      isWhole = (await dispatch(takePage(page, isQuiet))) && isWhole;
      at = page.seq;
      if (page.isMore) continue;
      const { lists, toSettle, mail } = page;
      return { since: at, isWhole, lists, toSettle, mail };
    }
  };
}

interface Arrived {
  readonly uid: Uid;
  readonly card: Card | undefined;
  readonly by: string | null;
}

/** @returns whether every card of it was taken in */
function takePage({ cards }: Pull, isQuiet: boolean): AppThunk<Promise<boolean>> {
  return async (dispatch, getState, services) => {
    const arrived: Arrived[] = [];
    const photos: Record<string, string> = {};
    for (const { uid, card, by } of cards) {
      const parsed = card === null ? undefined : parseCard(card);
      // Written by the same program on the other side; what isn't a card all the same is left where it is.
      if (parsed?.kind === 'fault') continue;
      const detached = parsed && detachPhotos(parsed.card);
      Object.assign(photos, detached?.photos);
      arrived.push({ uid, card: detached?.card, by });
    }
    await services.photos.put(photos);
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
    const { step } = dispatch(commit(begun, { cards: toCardChanges(changed) }, changed, { isFromHub: true }));
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
