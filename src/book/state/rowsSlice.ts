import { createAction, createSelector, type UnknownAction } from '@reduxjs/toolkit';

import { UidMap } from '@/book/clients';
import { type Card, type CardRow, compareRows, hasRow, type RowStyle, toRow, type Uid } from '@/core/card';
import { texts } from '@/texts/book/state';

import { bookChanged, cardsArrived, type CardsNow, rowsRestored } from './actions';

/** What rows and their order depend on. */
export interface RowSettings extends RowStyle {
  /** BCP 47; undefined for the browser's. */
  readonly locale?: string;
}

/** Which cards the Book shows. */
export type RowFilter = 'all' | 'people' | 'organisations';

/** The rows and their order. */
export interface RowsState {
  readonly byUid: UidMap<CardRow>;
  /** Uids in the order of the book. */
  readonly order: readonly Uid[];
  readonly settings: RowSettings;
}

const initialState: RowsState = {
  byUid: UidMap.empty(),
  order: [],
  settings: { by: 'surname', particlesCount: false },
};

/** Another order or name style: all rows are rebuilt from the cards. */
export const rowsReordered = createAction<{ settings: RowSettings; cards: readonly Card[] }>(
  'rows/reordered',
);

/** A line per card, in the order of the book. A plain reducer, as that of the cards is. */
export function rowsReducer(state: RowsState = initialState, action: UnknownAction): RowsState {
  if (bookChanged.match(action) || cardsArrived.match(action)) return putRows(state, action.payload);
  if (rowsReordered.match(action)) {
    const { settings, cards } = action.payload;
    return putRows({ ...initialState, settings }, { upserts: cards, removed: [] });
  }
  if (rowsRestored.match(action)) {
    const rows = action.payload;
    return {
      settings: state.settings,
      byUid: UidMap.empty<CardRow>().with(rows.map((row) => [row.uid, row] as const)),
      order: rows.map(({ uid }) => uid),
    };
  }
  return state;
}

/** Collators are expensive to create, and the same for as long as the locale is. */
const collators = new Map<string, { order: Intl.Collator; letter: Intl.Collator }>();

function collatorsOf(locale: string | undefined) {
  const key = locale ?? '';
  const known = collators.get(key);
  if (known) return known;
  const made = {
    order: new Intl.Collator(locale, { numeric: true }),
    letter: new Intl.Collator(locale, { sensitivity: 'base' }),
  };
  collators.set(key, made);
  return made;
}

function putRows(state: RowsState, { upserts, removed }: CardsNow): RowsState {
  if (upserts.length === 0 && removed.length === 0) return state;
  const { order: collator, letter } = collatorsOf(state.settings.locale);
  const gone = new Set(removed.filter((uid) => state.byUid.has(uid)));
  const noRow = new Set(gone);
  const rows = new Map<Uid, CardRow>();
  const placed: Uid[] = [];
  for (const card of upserts) {
    const before = rows.get(card.uid) ?? state.byUid.get(card.uid);
    if (!hasRow(card)) {
      if (before) gone.add(card.uid);
      rows.delete(card.uid);
      noRow.add(card.uid);
      continue;
    }
    const row = toRow(card, state.settings, letter);
    if (before && isSameRow(before, row)) continue;
    rows.set(card.uid, row);
    if (before?.sortText === row.sortText) continue;
    if (before) gone.add(card.uid);
    placed.push(card.uid);
  }
  const byUid = state.byUid.with(rows, noRow);
  const kept = gone.size === 0 ? state.order : state.order.filter((uid) => !gone.has(uid));
  const fresh = [...new Set(placed)].filter((uid) => rows.has(uid));
  return { ...state, byUid, order: place(kept, fresh, byUid, collator) };
}

function isSameRow(a: CardRow, b: CardRow): boolean {
  const keys = Object.keys(b) as (keyof CardRow)[];
  return Object.keys(a).length === keys.length && keys.every((key) => String(a[key]) === String(b[key]));
}

function place(
  kept: readonly Uid[],
  placed: readonly Uid[],
  byUid: RowsState['byUid'],
  collator: Intl.Collator,
) {
  if (placed.length === 0) return kept;
  const compare = (a: Uid, b: Uid) => {
    const [first, second] = [byUid.get(a), byUid.get(b)];
    return first && second ? compareRows(first, second, collator) : 0;
  };
  // Merged, since comparing with a collator is expensive: few comparisons for each new row, none among the others.
  const order: Uid[] = [];
  let from = 0;
  for (const uid of [...placed].sort(compare)) {
    let [low, high] = [from, kept.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (compare(kept[middle] ?? '', uid) <= 0) low = middle + 1;
      else high = middle;
    }
    for (; from < low; from += 1) order.push(kept[from] ?? '');
    order.push(uid);
  }
  for (; from < kept.length; from += 1) order.push(kept[from] ?? '');
  return order;
}

interface WithRows {
  readonly rows: RowsState;
}

/** A card's line; undefined where it has none. */
export const selectRow = (root: WithRows, uid: Uid): CardRow | undefined => root.rows.byUid.get(uid);
/** All lines, by uid. */
export const selectRowsByUid = (root: WithRows) => root.rows.byUid;
/** Uids in the order of the book. */
export const selectOrder = (root: WithRows) => root.rows.order;

/** The rows of pinned cards, in the order of the Book. Only what changes among them makes a new list. */
export const selectPinnedRows = createSelector(
  [selectOrder, selectRowsByUid],
  (order, byUid) => order.flatMap((uid) => (byUid.get(uid)?.isPinned === true ? (byUid.get(uid) ?? []) : [])),
  { memoizeOptions: { resultEqualityCheck: isSameList } },
);

function isSameList(a: readonly unknown[], b: readonly unknown[]): boolean {
  return a.length === b.length && a.every((one, i) => one === b[i]);
}

/** All cards that have been read: in the order of the Book, those without a line there last. */
export function selectCardsInOrder({
  rows,
  cards,
}: WithRows & { readonly cards: { readonly byUid: UidMap<Card> } }): Card[] {
  const shown = rows.order.flatMap((uid) => cards.byUid.get(uid) ?? []);
  const others = cards.byUid.values().filter(({ uid }) => !rows.byUid.has(uid));
  return [...shown, ...others.sort((a, b) => (a.uid < b.uid ? -1 : 1))];
}

/** One line of the Book: a letter over the rows that begin with it, or a row. */
export type BookItem =
  { readonly kind: 'letter'; readonly letter: string } | { readonly kind: 'row'; readonly uid: Uid };

/** The letters that occur, how many rows stand under each, and where in the list each begins. */
export interface LetterShare {
  readonly letter: string;
  readonly count: number;
  readonly index: number;
}

/** A row's place in another order, and the heading above it. */
export interface RowPlace {
  readonly uid: Uid;
  readonly letter: string;
  readonly heading?: string;
}

/** Bundled cards, which have no line of their own. */
type Hidden = ReadonlyMap<Uid, unknown>;

/** The heading over the pinned rows, which come first. */
const PINNED = texts.pinned;

/** The Book's list for a filter: headings and rows in order, pinned ones before all, and the thumb index. */
export const selectBookList = createSelector(
  [
    selectOrder,
    selectRowsByUid,
    (_: unknown, filter: RowFilter) => filter,
    (_: unknown, __: RowFilter, places?: readonly RowPlace[]) => places,
    (_: unknown, __: RowFilter, ___?: readonly RowPlace[], hidden?: Hidden) => hidden,
  ],
  (order, byUid, filter, places, hidden) => {
    const placeOf = places && new Map(places.map((one) => [one.uid, one]));
    const ordered = places ? places.map(({ uid }) => uid) : order;
    const rows = ordered.flatMap((uid) => {
      const row = byUid.get(uid);
      if (hidden?.has(uid) === true) return [];
      return row && (filter === 'all' || row.isOrg === (filter === 'organisations')) ? [row] : [];
    });
    const pinned = rows.filter(({ isPinned }) => isPinned);
    const items: BookItem[] = pinned.map(({ uid }) => ({ kind: 'row', uid }));
    if (pinned.length > 0) items.unshift({ kind: 'letter', letter: PINNED });
    const letters: LetterShare[] = [];
    let last: { letter: string; count: number; index: number } | undefined;
    let lastHeading: string | undefined;
    for (const row of rows) {
      if (row.isPinned) continue;
      const { letter, heading = letter } = placeOf?.get(row.uid) ?? row;
      if (letter !== last?.letter) {
        last = { letter, count: 0, index: items.length };
        letters.push(last);
      }
      if (heading !== lastHeading) items.push({ kind: 'letter', letter: heading });
      lastHeading = heading;
      last.count += 1;
      items.push({ kind: 'row', uid: row.uid });
    }
    return { items, letters };
  },
);

/** The number of people and organisations. @param hidden - bundled cards */
export const selectCounts = createSelector(
  [selectRowsByUid, (_: unknown, hidden?: Hidden) => hidden],
  (byUid, hidden) => {
    const rows = byUid.values().filter(({ uid }) => hidden?.has(uid) !== true);
    const organisations = rows.filter(({ isOrg }) => isOrg).length;
    return { people: rows.length - organisations, organisations };
  },
);
