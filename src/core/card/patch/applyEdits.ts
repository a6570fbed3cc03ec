import { isObject, isSameJson, type JsonObject, ownProperty } from '@/core/base';

import type { Edit } from './diffJson';

/**
 * Sets the value at a path, making the objects on the way; undefined removes it, and with it the objects that it
 * leaves empty. The argument stays as it was.
 *
 * @throws RangeError for a path through the prototype of an object
 */
export function setAt(object: JsonObject, path: readonly string[], value: unknown): JsonObject {
  const [key, ...rest] = path;
  if (key === undefined) return isObject(value) ? value : {};
  if (key === '__proto__') throw new RangeError('no property may be called __proto__');
  const inner = ownProperty(object, key);
  const { [key]: _, ...others } = object;
  if (rest.length === 0) return value === undefined ? others : { ...object, [key]: value };
  const set = setAt(isObject(inner) ? inner : {}, rest, value);
  return value === undefined && Object.keys(set).length === 0 ? others : { ...object, [key]: set };
}

/** The value at a path; undefined where there is none. */
export function getAt(value: unknown, path: readonly string[]): unknown {
  return path.reduce<unknown>((inner, key) => (isObject(inner) ? ownProperty(inner, key) : undefined), value);
}

/** Which way edits are read. */
export type Direction = 'forward' | 'backward';

/** The result of edits: the new object, and the edits that could not be made because the place has changed since. */
export interface Applied<T> {
  readonly value: T;
  readonly missed: Edit[];
}

/**
 * Makes edits, or takes them back. An edit is made only where the object still has the value it starts from (or
 * already has the one it leads to); the others are returned, so that nothing newer is overwritten.
 */
export function applyEdits<T extends object>(
  object: T,
  edits: readonly Edit[],
  direction: Direction = 'forward',
): Applied<T> {
  let value = object as JsonObject;
  const missed: Edit[] = [];
  for (const edit of edits) {
    const [from, to] = direction === 'forward' ? [edit.before, edit.after] : [edit.after, edit.before];
    const now = getAt(value, edit.path);
    if (isSameJson(now, from)) value = setAt(value, edit.path, to);
    else if (!isSameJson(now, to)) missed.push(edit);
  }
  return { value: value as T, missed };
}
