import { texts } from '@/texts/hub/store';

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

/** What SQLite calls them (sqlite.org/rescode.html): the first two parts of its extended codes. */
const OUTSIDE: readonly (readonly [begins: string, status: StoreFault['status'], says: string])[] = [
  ['SQLITE_FULL', 507, texts.diskIsFull],
  ['SQLITE_READONLY', 503, texts.diskIsReadOnly],
  ['SQLITE_CANTOPEN', 503, texts.diskCantBeUsed],
  ['SQLITE_IOERR', 503, texts.diskCantBeUsed],
  ['SQLITE_BUSY', 503, texts.storeIsBusy],
  ['SQLITE_LOCKED', 503, texts.storeIsBusy],
];

/** An error of the store in words, where its reason is outside; any other as it is. */
export function inWords(error: unknown): unknown {
  const code = codeOf(error);
  const known = OUTSIDE.find(([begins]) => code?.startsWith(begins));
  return known && code !== undefined ? new StoreFault(known[1], known[2], code) : error;
}

function codeOf(error: unknown): string | undefined {
  // The driver's native part makes errors of its own.
  const code = typeof error === 'object' && error && 'code' in error ? error.code : undefined;
  return typeof code === 'string' ? code : undefined;
}

/** Does what only notes something, such as when somebody came: where the store can't be written it is left out, and no reason to refuse. */
export async function ifPossible(noting: Promise<unknown>): Promise<void> {
  try {
    await noting;
  } catch (error) {
    if (!(error instanceof StoreFault)) throw error;
  }
}
