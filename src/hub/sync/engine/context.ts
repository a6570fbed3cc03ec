import type { HubDb } from '@/hub/store';

import type { Device } from '../passports/passports';

/** A device or a server from which cards come, at a moment. */
export interface SyncContext {
  readonly db: HubDb;
  readonly device: Device;
  /** UTCDateTime. */
  readonly now: string;
  /** ISO 3166-1 alpha-2, for numbers without a country code. */
  readonly country: string;
  /** The sync that changes belong to. */
  readonly sync?: number | undefined;
  /** Whether it is a server: its cards are marked as stored there, and what it has done can't be refused any more. */
  readonly isServer?: boolean;
}

/** Why something of a device isn't taken. */
export type RefusalKind =
  /** Its passport doesn't allow it. */
  | 'passport'
  /** It has that card under another address. */
  | 'elsewhere'
  /** Nothing is there that it may know of. */
  | 'nothing'
  /** What is there has changed since it was shown it. */
  | 'changed';

/** What a device does is refused: nothing was changed. */
export class SyncRefusal extends Error {
  constructor(
    readonly kind: RefusalKind,
    message: string,
    /** The address at which the card is, where it is another. */
    readonly href?: string,
  ) {
    super(message);
  }
}
