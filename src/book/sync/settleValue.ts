import { changeBook } from '@/book/commit';
import { edited } from '@/book/history';
import { type AppThunk, selectCardsByUid, selectHub } from '@/book/state';
import { isObject } from '@/core/base';
import {
  type Card,
  type Collection,
  getAt,
  ID_PREFIXES,
  idFor,
  parseCard,
  parsePointer,
  setAt,
  shownAs,
} from '@/core/card';
import type { ToSettle } from '@/core/sync';
import { texts } from '@/texts/sync/sync';

/** How a value is settled: one of the two, both, or a third. */
export type Choice =
  { readonly kind: 'mine' | 'theirs' | 'both' } | { readonly kind: 'other'; readonly text: string };

/** Whether both values can stay: those of an entry, which a card may have two of. */
export function canKeepBoth({ path }: ToSettle): boolean {
  const parts = parsePointer(path);
  return parts.length === 3 && Object.hasOwn(ID_PREFIXES, parts[0] ?? '');
}

/** Settles a value: the card is changed, which can be undone, and the hub no longer asks. */
export function settleValue(value: ToSettle, choice: Choice): AppThunk<Promise<void>> {
  return async (dispatch, getState, { hub }) => {
    const token = selectHub(getState()).pairing?.token;
    const card = selectCardsByUid(getState()).get(value.uid);
    if (card) {
      const edits = [edited(card.uid, (now) => settled(now, value, choice))];
      await dispatch(changeBook({ cause: 'edit', label: texts.settledValueOf(shownAs(card)), edits }));
    }
    if (token !== undefined) await hub.settled(token, value.id);
  };
}

function settled(card: Card, { path, mine, theirs }: ToSettle, choice: Choice): Card {
  const parts = parsePointer(path);
  switch (choice.kind) {
    case 'mine':
      return withValue(card, parts, mine);
    case 'theirs':
      return withValue(card, parts, theirs);
    case 'other':
      return withValue(card, parts, choice.text);
    case 'both': {
      const [collection = '', id = '', property = ''] = parts;
      const entries = getAt(card, [collection]);
      const entry = getAt(card, [collection, id]);
      if (!isObject(entries) || !isObject(entry)) return card;
      const other = { ...entry, [property]: theirs };
      return withValue(card, [collection, idFor(collection as Collection, other, entries)], other);
    }
  }
}

/** The card with a value at a place; as it is where it would be none any more: an entry that is gone has no value. */
function withValue(card: Card, parts: string[], value: unknown): Card {
  if (parts.length > 1 && getAt(card, parts.slice(0, 1)) === undefined) return card;
  const parsed = parseCard(setAt({ ...card }, parts, value));
  return parsed.kind === 'fault' ? card : parsed.card;
}
