import type { Cause } from '@/book/history';
import {
  type AppThunk,
  arrivalsChecked,
  type CardsChanged,
  type ChangedCard,
  selectCardsByUid,
  selectDuplicates,
  selectIsOpen,
  selectReading,
  selectSettings,
} from '@/book/state';
import { noteDuplicateNews } from '@/book/talks';
import { localDay } from '@/platform';

import { lookForDuplicates } from './lookForDuplicates';

/** More cards than these are compared with the book in one search. */
const MANY = 300;

/** Causes that may add or create duplicates. */
const CAUSES: ReadonlySet<Cause> = new Set(['add', 'edit', 'import', 'sync']);

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

/**
 * Compares cards that have come or changed with the book: those alone, and only where something has changed that
 * counts.
 */
export function checkArrivals({ cause, pairs }: CardsChanged): AppThunk<Promise<void>> {
  return async (dispatch, getState, { inspector }) => {
    const state = getState();
    if (!CAUSES.has(cause) || !selectIsOpen(state) || selectReading(state) !== undefined) return;
    const cards = pairs.map(({ after }) => after);
    const comparable = pairs.filter(isComparable).map(({ after }) => after);
    const hasLooked = selectDuplicates(state).clusters !== undefined;
    if (cards.length > MANY) {
      // Tidy looks for itself when it is opened for the first time.
      if (hasLooked) await dispatch(lookForDuplicates());
      return;
    }
    const { country } = selectSettings(state);
    try {
      const found =
        comparable.length > 0 ? await inspector.duplicatesOf(comparable, selectCardsByUid(getState())) : [];
      const faults = hasLooked ? await inspector.faultsOf(cards, { country, today: localDay() }) : undefined;
      dispatch(
        arrivalsChecked({
          compared: comparable.map(({ uid }) => uid),
          found,
          faults,
        }),
      );
      const fresh = new Set(pairs.filter(({ before }) => !before).map(({ after }) => after.uid));
      await dispatch(noteDuplicateNews(cause, fresh, found));
    } catch {
      // Nobody waits for it; the next look through the whole book finds what this one didn't.
    }
  };
}

function isComparable({ before, after }: ChangedCard): boolean {
  if (after.kind === 'group') return false;
  return !before || COMPARED.some((key) => JSON.stringify(before[key]) !== JSON.stringify(after[key]));
}
