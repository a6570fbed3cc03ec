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

/** Does what only notes something, such as when somebody came: where the store can't be written it is left out, and no reason to refuse. */
export async function ifPossible(noting: Promise<unknown>): Promise<void> {
  try {
    await noting;
  } catch (error) {
    if (!(error instanceof StoreFault)) throw error;
  }
}
