import { isObject } from '@/core/base';
import { applyEdits, type Card, diffCards, type Edit } from '@/core/card';

import { OF_THE_RECORD, wordFor } from './changedValues';

/** A value that a file's card would add to the book's, or change on it. */
export interface ImportValue {
  /** Names it among the values of its card. */
  readonly id: string;
  /** What it is, in a word: "mail". */
  readonly what: string;
  /** As it is in the book; undefined where the book has none. */
  readonly now: unknown;
  /** As the file would make it; undefined where it would go. */
  readonly file: unknown;
  /** Both sides have one, and they differ. */
  readonly isConflict: boolean;
}

/**
 * The values in which a card with what a file says of it differs from the card as it is: an entry of a collection is one
 * value, everything else that has one property is.
 */
export function importValues(now: Card, merged: Card): ImportValue[] {
  const values = new Map<string, ImportValue>();
  for (const { path } of diffCards(now, merged)) {
    const place = placeOf(now, merged, path);
    const id = place.join('/');
    const [property = ''] = place;
    if (OF_THE_RECORD.has(property) || values.has(id)) continue;
    const [was, is] = [valueAt(now, place), valueAt(merged, place)];
    const isConflict = was !== undefined && is !== undefined;
    values.set(id, { id, what: wordFor(property), now: was, file: is, isConflict });
  }
  return [...values.values()];
}

/** The card with those of the file's values that are taken. */
export function chooseValues(now: Card, merged: Card, isTaken: (value: ImportValue) => boolean): Card {
  const left = new Set(importValues(now, merged).flatMap((value) => (isTaken(value) ? [] : [value.id])));
  if (left.size === 0) return merged;
  const edits = diffCards(now, merged).filter(
    ({ path }: Edit) => !left.has(placeOf(now, merged, path).join('/')),
  );
  return applyEdits(now, edits).value;
}

/** Where the value is that an edit belongs to: an entry of a collection, or a property. */
function placeOf(now: Card, merged: Card, path: readonly string[]): readonly string[] {
  const entry = path.slice(0, 2);
  const isEntry = [now, merged].some((card) => {
    const value = valueAt(card, entry);
    return isObject(value) || value === true;
  });
  return isEntry ? entry : path.slice(0, 1);
}

function valueAt(card: Card, place: readonly string[]): unknown {
  let value: unknown = card;
  for (const key of place) value = isObject(value) && Object.hasOwn(value, key) ? value[key] : undefined;
  return value;
}
