import { texts } from '@/texts/hub/store';

import { StoreFault } from '../storeFault';
import { codeOf, FAULTS } from './connectTo';

/** The faults whose reason is outside. */
const OUTSIDE: ReadonlyMap<number, readonly [status: StoreFault['status'], says: string]> = new Map([
  [FAULTS.full, [507, texts.diskIsFull]],
  [FAULTS.readOnly, [503, texts.diskIsReadOnly]],
  [FAULTS.cantOpen, [503, texts.diskCantBeUsed]],
  [FAULTS.io, [503, texts.diskCantBeUsed]],
  [FAULTS.busy, [503, texts.storeIsBusy]],
  [FAULTS.locked, [503, texts.storeIsBusy]],
]);

/** An error of SQLite in words, where its reason is outside; any other as it is. */
export function inWords(error: unknown): unknown {
  const code = codeOf(error);
  const known = code === undefined ? undefined : OUTSIDE.get(code);
  return known ? new StoreFault(...known, `SQLITE_${code}`) : error;
}
