import { texts } from '@/texts/hub/store';

import { StoreFault } from '../storeFault';

/** What SQLite calls some faults (sqlite.org/rescode.html): the primary ones. */
const FAULTS = { busy: 5, locked: 6, readOnly: 8, io: 10, full: 13, cantOpen: 14 } as const;

/** The same as sqlite3_errstr says them, for where the package says nothing else. */
const WORDS: Readonly<Record<string, number>> = {
  'database is locked': FAULTS.busy,
  'database table is locked': FAULTS.locked,
  'attempt to write a readonly database': FAULTS.readOnly,
  'disk I/O error': FAULTS.io,
  'database or disk is full': FAULTS.full,
  'unable to open database file': FAULTS.cantOpen,
};

/** The primary code of an error of SQLite; undefined for any other. */
function codeOf(error: unknown): number | undefined {
  // The native part makes errors of its own.
  if (typeof error !== 'object' || error === null) return undefined;
  const { code, errcode, message } = error as { readonly [K in 'code' | 'errcode' | 'message']?: unknown };
  if (typeof errcode === 'number') return errcode & 0xff;
  return code === 'ERR_SQLITE_ERROR' ? WORDS[String(message)] : undefined;
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

/** Whether another process is at the store. */
export function isBusy(error: unknown): boolean {
  return (
    error instanceof StoreFault && [`SQLITE_${FAULTS.busy}`, `SQLITE_${FAULTS.locked}`].includes(error.code)
  );
}

/** An error of SQLite in words, where its reason is outside; any other as it is. */
export function inWords(error: unknown): unknown {
  const code = codeOf(error);
  const known = code === undefined ? undefined : OUTSIDE.get(code);
  return known ? new StoreFault(...known, `SQLITE_${code}`) : error;
}
