import { changeBook, changeMany, newStep, readShards, readStep, undo } from '@/book/commit';
import { type CardEdit, changed, edited, removed, type Step, type TalkChange } from '@/book/history';
import {
  type AppThunk,
  noticeShown,
  selectCardsByUid,
  selectSettings,
  selectShards,
  selectSummaries,
} from '@/book/state';
import { type Card, relinkCard, shownAs, type Uid } from '@/core/card';
import type { Talk } from '@/core/talks';
import type { MergeChoices } from '@/core/tidy';
import { texts } from '@/texts/tidy/tidy';

/**
 * Merges cards as one undoable step: lists, relations, links in notes and talks follow. The
 * fullest card keeps its uid.
 *
 * @param groups - cards that are the same, by their uids; several groups are merged in one step
 */
export function mergeInBook(
  groups: readonly (readonly Uid[])[],
  choices: MergeChoices = {},
): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, getState, services) => {
    const { country } = selectSettings(getState());
    const step = newStep(services, {
      ...{ cause: 'merge', label: '' },
      at: services.utcNow(),
    });
    const known = selectCardsByUid(getState());
    const cardsOf = (uids: readonly Uid[]) => uids.flatMap((uid) => known.get(uid) ?? []);
    const whole = groups.map(cardsOf).filter((cards) => cards.length > 1);
    const results = await services.mergeCards(whole, { country, ...choices });
    const merged = new Map<Uid, Card>();
    const becomes = new Map<Uid, Uid>();
    results.forEach((one, i) => {
      const others = (whole[i] ?? []).filter(({ uid }) => uid !== one.uid);
      merged.set(one.uid, withStep(one, others, step.id));
      for (const { uid } of others) becomes.set(uid, one.uid);
    });
    if (merged.size === 0) return undefined;
    const kept = [...known.values()].filter(({ uid }) => !becomes.has(uid));
    const edits = kept.flatMap((card): CardEdit[] => {
      const result = merged.get(card.uid);
      if (result) return [changed(card, relinkCard(result, becomes))];
      return relinkCard(card, becomes) === card ? [] : [edited(card.uid, (now) => relinkCard(now, becomes))];
    });
    const gone = [...becomes.keys()].flatMap((uid) => known.get(uid) ?? []);
    const talks = await dispatch(movedTalks(becomes));
    const label = labelOf([...merged.values()], gone.length);
    return dispatch(
      changeBook({ cause: 'merge', label, edits: [...edits, ...gone.map(removed)], talks, completes: step }),
    );
  };
}

/** Merged-away uids lead to the result for ever, and to the step that takes the merge back. */
function withStep(card: Card, others: readonly Card[], id: string): Card {
  const was = { ...card['cordialis.example:was'] };
  for (const { uid } of others) was[uid] = id;
  return { ...card, 'cordialis.example:was': was };
}

function labelOf([first, ...others]: readonly Card[], gone: number): string {
  if (!first) return '';
  if (others.length === 0) return texts.mergedCardsInto(gone + 1, shownAs(first));
  return texts.mergedCardsIntoSeveral(gone + 1 + others.length, 1 + others.length);
}

/** Talks with those that are merged away, as talks with what they become. */
function movedTalks(becomes: ReadonlyMap<Uid, Uid>): AppThunk<Promise<TalkChange[]>> {
  return async (dispatch, getState) => {
    const summaries = selectSummaries(getState());
    const months = new Set([...becomes.keys()].flatMap((uid) => summaries.get(uid)?.months ?? []));
    await dispatch(readShards([...months]));
    const shards = selectShards(getState());
    const changes: TalkChange[] = [];
    for (const month of months)
      for (const before of shards[month] ?? []) {
        if (!before.with.some((uid) => becomes.has(uid))) continue;
        const people = new Set(before.with.map((uid) => becomes.get(uid) ?? uid));
        const after: Talk = { ...before, with: [...people] };
        changes.push({ before, after });
      }
    return changes;
  };
}

/** Undoes a merge, even weeks later: what has been changed since stays where it is. */
export function unmerge(changeId: string): AppThunk<Promise<void>> {
  return async (dispatch, _, services) => {
    // Not by way of the steps in memory, of which an old one is the first to go.
    const step = await readStep(services, changeId);
    if (step?.state === 'done') await dispatch(undo(changeId));
    else
      dispatch(
        noticeShown({
          text: texts.thisMergeWasDone,
          tone: 'error',
        }),
      );
  };
}

/** Keeps cards apart: they are never offered as duplicates again. */
export function keepApart(uids: readonly Uid[]): AppThunk<Promise<unknown>> {
  return (dispatch, getState) => {
    const known = selectCardsByUid(getState());
    const cards = uids.flatMap((uid) => known.get(uid) ?? []);
    const change = (card: Card): Card => ({
      ...card,
      'cordialis.example:apart': {
        ...card['cordialis.example:apart'],
        ...Object.fromEntries(uids.filter((uid) => uid !== card.uid).map((uid) => [uid, true as const])),
      },
    });
    return dispatch(changeMany({ cards, label: texts.keptApart(cards.map(shownAs).join(', ')), change }));
  };
}
