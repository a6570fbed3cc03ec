import type { JsonObject } from '../../json';
import { applyEdits, setAt } from './applyEdits';
import { diffJson } from './diffJson';

/**
 * A changed object on top of what its base has become meanwhile (in another page, by a sync): what was changed is
 * changed there too, everything else stays as it is now. Where both changed the same value, `mine` stands.
 *
 * @param base - what both sides began with
 */
export function rebaseJson<T extends object>(base: T, mine: T, theirs: T): T {
  const { value, missed } = applyEdits(theirs, diffJson(base, mine));
  return missed.reduce((object, edit) => setAt(object as JsonObject, edit.path, edit.after) as T, value);
}
