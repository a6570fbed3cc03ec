import { type LabelKind, type Labelled, parseLabel } from '../label';
import { type Collection, idFor } from '../nextId';
import type { Card } from '../schema/types';

/** What any row of the form has. */
export interface Row {
  readonly id: string;
  readonly label?: string;
  readonly isPreferred?: boolean;
  readonly isPost?: boolean;
  readonly isPrivate?: boolean;
}

/** A collection of entries that the form has as rows. */
export type RowCollection = Exclude<Collection, 'pronouns'> | 'cordialis.example:fields';

const LABEL_KINDS: Partial<Record<RowCollection, LabelKind>> = {
  phones: 'phone',
  addresses: 'address',
  emails: 'other',
  links: 'other',
};

/** Sets a property of the card, or takes it off. */
export function put<K extends keyof Card>(card: Card, key: K, value: Card[K] | undefined): void {
  if (value === undefined) delete card[key];
  else card[key] = value;
}

/** Makes the entries of a collection in the order of the form; `make` gives '' for a row that says nothing. */
export function putRows<R extends Row>(
  card: Card,
  collection: RowCollection,
  rows: readonly R[],
  before: readonly R[],
  make: (row: R, old: object | undefined) => object | '',
): void {
  if (isSameRow(rows, before)) return;
  const old = (card[collection] ?? {}) as Record<string, object>;
  const entries: Record<string, object> = {};
  for (const row of rows) {
    const was = before.find(({ id }) => id === row.id);
    const known = Object.hasOwn(old, row.id) ? old[row.id] : undefined;
    if (known && was && isSameRow(row, was)) {
      entries[row.id] = known;
      continue;
    }
    const made = make(row, known);
    if (made === '') continue;
    const entry = withUse(made, row, was, LABEL_KINDS[collection]);
    entries[known ? row.id : idFor(collection, entry, { ...old, ...entries })] = entry;
  }
  const isEmpty = Object.keys(entries).length === 0;
  put(card, collection, isEmpty ? undefined : (entries as never));
}

/** Whether two rows, or two lists of them, hold the same. */
export function isSameRow(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** Label, preference and privacy as the row has them, where they were touched. */
function withUse(entry: object, row: Row, was: Row | undefined, kind: LabelKind | undefined): object {
  let used = entry as Labelled & { pref?: number; 'cordialis.example:private'?: true };
  if (kind && row.label !== undefined && row.label !== (was?.label ?? '')) {
    const { contexts = {}, features: __, label: ___, ...rest } = used;
    const read = parseLabel(row.label, kind);
    // The label of an address doesn't say whether letters go there.
    const keepsPost = row.isPost === true && contexts['delivery'] === true;
    const post: Labelled = keepsPost ? { contexts: { ...read.contexts, delivery: true } } : {};
    used = { ...rest, ...read, ...post };
  }
  if (row.isPost !== undefined && row.isPost !== (was?.isPost ?? false)) {
    const { contexts, ...rest } = used;
    const { delivery: _, ...others } = contexts ?? {};
    const wished: Record<string, true> = row.isPost ? { ...others, delivery: true } : others;
    used = Object.keys(wished).length === 0 ? rest : { ...rest, contexts: wished };
  }
  if (row.isPreferred !== undefined && row.isPreferred !== (was?.isPreferred ?? false)) {
    const { pref: _, ...rest } = used;
    used = row.isPreferred ? { ...rest, pref: 1 } : rest;
  }
  if (row.isPrivate !== undefined && row.isPrivate !== (was?.isPrivate ?? false)) {
    const { 'cordialis.example:private': _, ...rest } = used;
    used = row.isPrivate ? { ...rest, 'cordialis.example:private': true } : rest;
  }
  return used;
}
