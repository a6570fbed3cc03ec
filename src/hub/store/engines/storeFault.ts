import { texts } from '@/texts/hub/store';

/** The store can't be written or read for a reason outside it: nothing was changed, and the same may be asked again. */
export class StoreFault extends Error {
  constructor(
    /** HTTP: 507 where there is no room (RFC 4918 §11.5), 503 where it may be otherwise in a moment, 400 for what no store holds. */
    readonly status: 400 | 503 | 507,
    message: string,
    readonly code: string,
  ) {
    super(message);
    this.name = 'StoreFault';
  }
}

/** @throws StoreFault for a text that PostgreSQL can't hold: SQLite doesn't either, so that a store can be moved */
export function checkText(value: unknown): void {
  if (typeof value === 'string' && value.includes('\0')) throw new StoreFault(400, texts.thereIsNul, 'NUL');
}

/** Does what only notes something, such as when somebody came: where the store can't be written it is left out, and no reason to refuse. */
export async function ifPossible(noting: Promise<unknown>): Promise<void> {
  try {
    await noting;
  } catch (error) {
    if (!(error instanceof StoreFault)) throw error;
  }
}
