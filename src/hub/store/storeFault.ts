import { texts } from '@/texts/hub/store';

import { codeOf, FAULTS } from './sqlite';

/** The store can't be written or read for a reason outside it: nothing was changed, and the same may be asked again. */
export class StoreFault extends Error {
  constructor(
    /** HTTP: 507 where there is no room (RFC 4918 §11.5), 503 where it may be otherwise in a moment. */
    readonly status: 503 | 507,
    message: string,
    readonly code: string,
  ) {
    super(message);
    this.name = 'StoreFault';
  }
}

/** The faults whose reason is outside. */
const OUTSIDE: ReadonlyMap<number, readonly [status: StoreFault['status'], says: string]> = new Map([
  [FAULTS.full, [507, texts.diskIsFull]],
  [FAULTS.readOnly, [503, texts.diskIsReadOnly]],
  [FAULTS.cantOpen, [503, texts.diskCantBeUsed]],
  [FAULTS.io, [503, texts.diskCantBeUsed]],
  [FAULTS.busy, [503, texts.storeIsBusy]],
  [FAULTS.locked, [503, texts.storeIsBusy]],
]);

/** An error of the store in words, where its reason is outside; any other as it is. */
export function inWords(error: unknown): unknown {
  const code = codeOf(error);
  const known = code === undefined ? undefined : OUTSIDE.get(code);
  return known ? new StoreFault(...known, `SQLITE_${code}`) : error;
}

/** Does what only notes something, such as when somebody came: where the store can't be written it is left out, and no reason to refuse. */
export async function ifPossible(noting: Promise<unknown>): Promise<void> {
  try {
    await noting;
  } catch (error) {
    if (!(error instanceof StoreFault)) throw error;
  }
}
