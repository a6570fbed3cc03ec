import { isObject } from '@/core/base';
import {
  applyEdits,
  type Card,
  type Collection,
  diffCards,
  type Edit,
  ID_PREFIXES,
  idFor,
} from '@/core/card';

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
  /** It is an entry of a collection, beside which another one can stand. */
  readonly isEntry: boolean;
}

/** Which side of a value is taken; both only of an entry. */
export type ValueSide = 'file' | 'mine' | 'both';

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
    const isEntry = place.length === 2 && Object.hasOwn(ID_PREFIXES, property);
    values.set(id, { id, what: wordFor(property), now: was, file: is, isConflict, isEntry });
  }
  return [...values.values()];
}

/** The card with those of the file's values that are taken. */
export function chooseValues(now: Card, merged: Card, sideOf: (value: ImportValue) => ValueSide): Card {
  const values = importValues(now, merged).filter((value) => sideOf(value) !== 'file');
  if (values.length === 0) return merged;
  const left = new Set(values.map(({ id }) => id));
  const edits = diffCards(now, merged).filter(
    ({ path }: Edit) => !left.has(placeOf(now, merged, path).join('/')),
  );
  let chosen = applyEdits(now, edits).value;
  for (const value of values)
    if (sideOf(value) === 'both' && value.isEntry && isObject(value.file)) chosen = withEntry(chosen, value);
  return chosen;
}

/** Puts an entry of the file beside that of the book. */
function withEntry(card: Card, { id, file }: ImportValue): Card {
  const collection = id.split('/')[0] as Collection;
  const held: unknown = valueAt(card, [collection]);
  const entries = isObject(held) ? held : {};
  return { ...card, [collection]: { ...entries, [idFor(collection, file, entries)]: file } };
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
