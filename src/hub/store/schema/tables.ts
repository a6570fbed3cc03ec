import type { Generated, Kysely } from 'kysely';

/** A card on the hub; private cards and values never get here. */
export interface CardsTable {
  uid: string;
  /** A JSContact object (RFC 9553). */
  card: string;
  /** The change that last wrote it. */
  seq: number;
  /** The last part of its address, for devices that haven't named it themselves. */
  href: string;
  /** Its kind (RFC 9553 §2.1.4); '' where it says none. */
  kind: string;
  /** Where it comes when all are told: the first digits of a hash of its uid, of a list after a "g". */
  place: string;
  /** A hash of its name as it is looked up: the same for those that may be the same. */
  alike: string;
}

/**
 * What devices that see the same of cards see of one. All of it can be made anew from the card, and is where it was made of another
 * version of it.
 */
export interface ShownTable {
  /** What of a card goes along. */
  shape: string;
  /** The card's. */
  place: string;
  uid: string;
  /** The change of the card that it was made of. */
  seq: number;
  /** Strong, with its quotes; '' for a list, whose members depend on who looks. */
  etag: string;
  /** What passports ask of a card, as JSON. */
  marks: string;
  /** Its values, folded, one after the other: what queries look through; null where it hasn't been made. */
  asked: string | null;
  /** As vCard 3.0; null where it hasn't been made. */
  text: string | null;
}

/** A picture, apart from the cards that have it. */
export interface PicturesTable {
  /** SHA-256 of the URI, in hexadecimal digits. */
  id: string;
  /** data: URI (RFC 2397), in which form everybody gets it. */
  uri: string;
  /** UTCDateTime at which a card with it was last written. */
  at: string;
}

/** The log, in order; the sequence only grows. */
export interface ChangesTable {
  seq: Generated<number>;
  uid: string;
  /** UTCDateTime. */
  at: string;
  /** The device that did it; null for the application. */
  device: number | null;
  /** The browser in which the application did it; null for a device and the hub itself. */
  browser: number | null;
  /** The sync of a device that it belongs to; null for the application and for what is older than this column. */
  sync: number | null;
  /** JSON; null where there was none, '' where it isn't kept any more. */
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
  /** Which cards it may have; what the fields below say narrows it, and never widens it. */
  scope: 'all' | 'lists' | 'tag' | 'kept' | 'nothing';
  /** Only cards with this tag; null where no tag is asked for. */
  tag: string | null;
  /** Only members of these lists, a JSON array of uids; empty where no list is asked for. */
  lists: string;
  /** Whether notes go along: 1 or 0. */
  notes: number;
  /** Whether photos go along: 1 or 0. */
  photos: number;
  /** The longer side that photos are cut down to, in pixels; null for photos as they are. */
  photoSide: number | null;
  /** Only cards that are kept there by choice or came from there: 1 or 0. */
  own: number;
  /** Whose access to the common directory lets it be served as a collection of its own; 0 for nobody's. */
  directory: number;
  /** Whether lists go along, as cards of the kind group: 1 or 0. */
  groups: number;
  paused: number;
  created: string;
  seen: string | null;
  /** Sync tokens from before this change are invalid: the passport has changed. */
  since: number;
  /** What it has been seen to keep: a JSON object, the largest number of entries by collection. */
  keeps: string;
}

/** Somebody who has access to the directory. */
export interface DirectoryUsersTable {
  id: Generated<number>;
  name: string;
  role: 'administrator' | 'editor' | 'reader';
  salt: string;
  hash: string;
  created: string;
}

/** Somebody signed in to the directory. */
export interface DirectorySessionsTable {
  /** SHA-256 of the token that is shown. */
  token: string;
  user: number;
  /** UTCDateTime after which it is no longer good. */
  until: string;
}

/** Somebody in the directory. */
export interface DirectoryEntriesTable {
  uid: string;
  /** A JSContact object (RFC 9553). */
  card: string;
  inside: number;
  hidden: number;
  validFrom: string | null;
  validTo: string | null;
}

/** What was done with the directory; the store itself refuses to change or to delete a line of it. */
export interface DirectoryLogTable {
  id: Generated<number>;
  at: string;
  /** The name of who did it, as it was then: it stays when they have left. */
  who: string;
  act: string;
  uid: string | null;
  says: string;
  before: string | null;
  after: string | null;
}

/** For each card what a device was last served, or has last sent. */
export interface MemoryTable {
  device: number;
  uid: string;
  /** The last part of the resource's address. */
  href: string;
  /** The hub's card then; '' where it is the one that the change `seq` has made. */
  card: string;
  /** null where the card itself is kept. */
  seq: number | null;
  /** Under which uid the device knows it, where that is another. */
  deviceUid: string | null;
}

/** Resources that a device has had and that are gone, with the change since when. */
export interface GoneTable {
  device: number;
  href: string;
  seq: number;
  /** The card it has been joined to, whose resource answers for it until a sync has told the device; null from then on. */
  uid: string | null;
}

/** A value that two sides have changed differently. */
export interface SettleTable {
  id: Generated<number>;
  uid: string;
  /** RFC 6901 without the slash at its head. */
  path: string;
  /** The value that stands meanwhile, whose it is (null for nobody who is known) and when it came. */
  mine: string;
  mineBy: string | null;
  mineAt: string;
  theirs: string;
  theirsBy: string | null;
  theirsAt: string;
}

/** A browser that has been paired with the hub. */
export interface BrowsersTable {
  id: Generated<number>;
  name: string;
  /** A hash of what it shows with each request. */
  token: string;
  created: string;
  seen: string | null;
}

/** What a browser sent last of a card: what it sends next is compared with it, whether our answer came through or not. */
export interface SentTable {
  browser: number;
  uid: string;
  /** null where it has deleted it; '' where it is what the change `seq` has made. */
  card: string | null;
  /** The change that came of it. */
  seq: number;
  /** Whether the card became just what was sent: 1 or 0. */
  isSame: number;
}

/** Codes by which a browser may be paired, each once. */
export interface CodesTable {
  hash: string;
  /** UTCDateTime. */
  until: string;
}

/** Who is on a list that the hub can't fill by itself, as the application has worked it out. */
export interface MembersTable {
  list: string;
  /** A JSON array. */
  uids: string;
}

/** Something beside the cards that browsers share, as it is now; what changes gets a new number. */
export interface RecordsTable {
  seq: Generated<number>;
  kind: 'talk' | 'setting';
  id: string;
  /** JSON; null where it is gone. */
  value: string | null;
  /** The months in which the talk has been, a JSON array: where it is looked for, once it has gone or moved. */
  months: string;
  /** The browser it is of; null where it was put together of what several said. */
  browser: number | null;
}

/** A message of the mailbox that ships with the product. */
export interface MailsTable {
  id: Generated<number>;
  /** 'coming': a reply that somebody has still to write. */
  box: 'outbox' | 'sent' | 'coming' | 'inbox';
  /** UTCDateTime at which it was sent or came; before that, at which it will be. */
  at: string;
  /** Names and addresses, as JSON. */
  sender: string;
  recipients: string;
  subject: string;
  /** The message file (RFC 5322). */
  message: string;
  isRead: number;
}

/** One visit of a device: requests that follow each other closely. */
export interface SyncsTable {
  id: Generated<number>;
  device: number;
  /** UTCDateTime at which it began. */
  at: string;
  /** Changes that came from it. */
  came: number;
  /** Cards that it was served. */
  went: number;
  /** UTCDateTime when it was last written that it goes on; null for one from before this column. */
  until: string | null;
  /** In words; null where nothing went wrong. */
  fault: string | null;
  /** UTCDateTime at which what came was taken back; null where it stands. */
  undone: string | null;
}

/** A device that ships with the product, with a memory of its own. */
export interface StandInsTable {
  kind: string;
  /** JSON, the device's own business. */
  state: string;
  /** The same without its cards, which are large; null where it was written before this column. */
  head: string | null;
}

/** A server of which the hub is a client; what it may have is said by its passport among the devices. */
export interface AccountsTable {
  device: number;
  /** The server's address. */
  base: string;
  user: string;
  /** Sealed with the store's key: the hub has to sign in with it. */
  password: string;
  everyMinutes: number;
  /** UTCDateTime of the next visit. */
  next: string;
  /** '' before the first. */
  syncToken: string;
  /** Entity tags by address, a JSON object. */
  etags: string;
}

/** What a store says of itself. */
export interface AboutTable {
  /** `whose`: own or demo. */
  name: string;
  value: string;
}

/** How often something has been tried. */
export interface TriesTable {
  /** A hash of what was tried, and from where. */
  key: string;
  count: number;
  /** Milliseconds since 1970 until which it counts. */
  untilMs: number;
}

/** A calendar that calendar programs read. */
export interface CalendarsTable {
  /** Whoever knows it may read it. */
  token: string;
  /** iCalendar (RFC 5545). */
  text: string;
}

/** Everything the hub keeps. */
export interface HubTables {
  about: AboutTable;
  directoryUsers: DirectoryUsersTable;
  directorySessions: DirectorySessionsTable;
  directoryEntries: DirectoryEntriesTable;
  directoryLog: DirectoryLogTable;
  cards: CardsTable;
  shown: ShownTable;
  pictures: PicturesTable;
  changes: ChangesTable;
  devices: DevicesTable;
  memory: MemoryTable;
  gone: GoneTable;
  settle: SettleTable;
  browsers: BrowsersTable;
  sent: SentTable;
  codes: CodesTable;
  members: MembersTable;
  records: RecordsTable;
  mails: MailsTable;
  syncs: SyncsTable;
  standIns: StandInsTable;
  accounts: AccountsTable;
  tries: TriesTable;
  calendars: CalendarsTable;
}

/** The hub's store, or a transaction on it. */
export type HubDb = Kysely<HubTables>;

/** A kind of database in which a store may lie. */
export type StoreKind = 'sqlite' | 'postgres';
