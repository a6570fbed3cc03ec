import type { Generated } from 'kysely';

/** A card as the hub has it; private cards and values never come here. */
export interface CardsTable {
  uid: string;
  /** A JSContact object (RFC 9553). */
  card: string;
  /** The change that made it so. */
  seq: number;
}

/** What happened, in the order in which it did; the sequence never goes back. */
export interface ChangesTable {
  seq: Generated<number>;
  uid: string;
  /** UTCDateTime. */
  at: string;
  /** The device that did it; null for the application. */
  device: number | null;
  before: string | null;
  after: string | null;
  /** In words, for the log. */
  says: string;
}

/** A device and its passport. */
export interface DevicesTable {
  id: Generated<number>;
  name: string;
  /** What it signs in as. */
  user: string;
  salt: string;
  hash: string;
  direction: 'both' | 'out' | 'in';
  /** Only cards with this tag; null for all. */
  tag: string | null;
  /** Only members of this list, by its uid; null for all. */
  list: string | null;
  paused: number;
  created: string;
  seen: string | null;
  /** Sync tokens from before this change are no longer good: the passport has changed. */
  since: number;
  /** What it has been seen to keep: a JSON object, most entries by collection. */
  keeps: string;
}

/** For each card what a device was last served, or has last sent. */
export interface MemoryTable {
  device: number;
  uid: string;
  /** The last part of the resource's address. */
  href: string;
  /** The hub's card then. */
  card: string;
  /** Under which uid the device knows it, where that is another. */
  deviceUid: string | null;
}

/** Resources that a device has had and that are gone, with the change since when. */
export interface GoneTable {
  device: number;
  href: string;
  seq: number;
}

/** Values that two sides have changed differently. */
export interface SettleTable {
  id: Generated<number>;
  uid: string;
  device: number;
  at: string;
  /** RFC 6901 without the slash at its head. */
  path: string;
  mine: string;
  theirs: string;
}

/** Everything the hub keeps. */
export interface HubTables {
  cards: CardsTable;
  changes: ChangesTable;
  devices: DevicesTable;
  memory: MemoryTable;
  gone: GoneTable;
  settle: SettleTable;
}
