import type { Card } from '@/core/card';

import type { AppThunk } from '../appStore';
import { selectCardsByUid } from '../cards/cardsSlice';
import { type BeforeAfter, type Cause } from '../history/change';
import { selectIsOpen, selectReading } from '../status/statusSlice';
import { arrivalsChecked, selectDuplicates } from './duplicatesSlice';
import { lookForDuplicates } from './lookForDuplicates';

/** More cards than these are compared with the book in one search. */
const MANY = 300;

/** Causes after which cards may be somebody's second ones. */
const CAUSES: ReadonlySet<Cause> = new Set(['add', 'edit', 'import']);

/** What two cards are compared by. */
const COMPARED = [
  'kind',
  'name',
  'nicknames',
  'emails',
  'phones',
  'organizations',
  'anniversaries',
  'addresses',
] as const;

/** Compares cards that have come or changed with the book: those alone, and only where something has changed that counts. */
export function checkArrivals(
  cause: Cause,
  pairs: readonly (BeforeAfter & { readonly after: Card })[],
): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    const state = getState();
    if (!CAUSES.has(cause) || !selectIsOpen(state) || selectReading(state) !== undefined) return;
    const cards = pairs.filter(isComparable).map(({ after }) => after);
    if (cards.length === 0) return;
    if (cards.length > MANY) {
      // Tidy looks for itself when it is opened for the first time.
      if (selectDuplicates(state).clusters) await dispatch(lookForDuplicates());
      return;
    }
    const found = await services.twins.twinsOf(cards, selectCardsByUid(getState())).catch(() => []);
    dispatch(arrivalsChecked({ uids: cards.map(({ uid }) => uid), found }));
  };
}

function isComparable({ before, after }: BeforeAfter & { readonly after: Card }): boolean {
  if (after.kind === 'group') return false;
  return !before || COMPARED.some((key) => JSON.stringify(before[key]) !== JSON.stringify(after[key]));
}
