import { z } from 'zod';

/** The most cards in one request or answer, so that neither side is blocked for long. */
export const CARDS_AT_ONCE = 300;

/** A card changed by the application; null if deleted. */
export const pushedSchema = z.object({ uid: z.string().min(1).max(1000), card: z.unknown() });
/** What the application sends. */
export const pushSchema = z.object({
  /** Its cursor: the change up to which it knows everything; 0 at first. */
  since: z.number().int().min(0),
  changes: z.array(pushedSchema).max(CARDS_AT_ONCE),
});
/** What the application sends. */
export type Push = z.infer<typeof pushSchema>;

const pulledSchema = z.object({
  uid: z.string(),
  /** null where it is gone. */
  card: z.unknown(),
  /** Who changed it last, by name; null for the demo and for unknown sources. */
  by: z.string().nullable(),
});
/** The answer to a pull. */
export const pullSchema = z.object({
  cards: z.array(pulledSchema),
  /** The cursor after this answer. */
  seq: z.number(),
  /** Whether more follows. */
  isMore: z.boolean(),
  /** Lists whose members the hub needs. */
  lists: z.array(z.string()),
  /** How many values are to settle. */
  toSettle: z.number(),
  /** The last message of the mailbox that was sent or came in; 0 for none. */
  mail: z.number(),
});
/** The answer to a pull. */
export type Pull = z.infer<typeof pullSchema>;

/** The last numbers of an epoch: of the changes of cards, and of talks and settings. */
export const headsSchema = z.object({ cards: z.number().int().min(0), records: z.number().int().min(0) });
/** The last numbers of an epoch: of the changes of cards, and of talks and settings. */
export type Heads = z.infer<typeof headsSchema>;
/** In which epoch the hub's store is: numbers mean something within one only. */
export const epochSchema = z.object({
  epoch: z.string(),
  /** Up to where the epoch that was asked with has happened here; null where it is the same. */
  shared: headsSchema.nullable(),
});
/** In which epoch the hub's store is. */
export type EpochAnswer = z.infer<typeof epochSchema>;
/** What the hub had at some numbers. */
export const knownSchema = z.object({ cards: z.array(z.string()), talks: z.array(z.string()) });
/** What the hub had at some numbers. */
export type KnownAnswer = z.infer<typeof knownSchema>;

/** Talks and settings in one request or one answer at most. */
export const RECORDS_AT_ONCE = 500;

/** Something beside the cards that browsers share: a talk by its id, a setting by its name; null where it is gone. */
const recordSchema = z.object({
  kind: z.enum(['talk', 'setting']),
  id: z.string().min(1).max(1000),
  value: z.unknown(),
});
/** Something beside the cards that browsers share. */
export type SharedRecord = z.infer<typeof recordSchema>;

/** A push of records. */
export const recordsPushSchema = z.object({
  /** Its cursor: the record up to which it knows everything; 0 at first. */
  since: z.number().int().min(0),
  records: z.array(recordSchema).max(RECORDS_AT_ONCE),
  /** Imports of talks undone, by month. */
  gone: z.array(z.object({ intake: z.string(), month: z.string() })).max(RECORDS_AT_ONCE),
});
/** A push of records. */
export type RecordsPush = z.infer<typeof recordsPushSchema>;

/** The answer to a pull of records. */
export const recordsPullSchema = z.object({
  records: z.array(
    recordSchema.extend({
      by: z.string().nullable(),
      /** The months in which a talk has been: 2026-11. */
      months: z.array(z.string()),
    }),
  ),
  /** Up to which record this reaches. */
  seq: z.number(),
  isMore: z.boolean(),
});
/** The answer to a pull of records. */
export type RecordsPull = z.infer<typeof recordsPullSchema>;

/** Which cards a device may have: all, those on lists, with a tag, those kept there by choice, none. */
const SCOPES = ['all', 'lists', 'tag', 'kept', 'nothing'] as const;

/** What a device may receive. */
export const passportSchema = z.object({
  name: z.string().trim().min(1).max(60),
  direction: z.enum(['both', 'out', 'in']),
  /** Which cards it may have; where it isn't said, it is told from the fields below, and never becomes wider. */
  scope: z.enum(SCOPES).optional(),
  tag: z.string().max(200).optional(),
  lists: z.array(z.string()).max(50).optional(),
  notes: z.boolean().optional(),
  photos: z.boolean().optional(),
  /** The longer side that photos are cut down to, in pixels; null for as they are. */
  photoSide: z.number().int().min(32).max(4096).nullable().optional(),
  /** Whether lists go along as group cards. */
  groups: z.boolean().optional(),
  /** Whether it gets only cards that are stored there by choice or came from there. */
  own: z.boolean().optional(),
  /** Whether it gets the common directory, read-only. */
  directory: z.boolean().optional(),
  /** The directory session, where the passport includes the directory. */
  directoryToken: z.string().max(200).optional(),
});
/** What a device may receive. */
export type PassportRequest = z.infer<typeof passportSchema>;

/** A server that the hub is to be a client of. */
export const accountSchema = passportSchema.pick({ name: true, direction: true, own: true }).extend({
  base: z.string().trim().max(500),
  user: z.string().max(200),
  password: z.string().max(500),
  everyMinutes: z.number().int().min(5).max(10_080),
});
/** A server that the hub is to be a client of. */
export type AccountRequest = z.infer<typeof accountSchema>;

/** A sync in the log: what a device sent and was served. */
const syncSchema = z.object({
  id: z.number(),
  at: z.string(),
  /** Cards that changed here through it. */
  in: z.number(),
  /** Cards that it was served. */
  out: z.number(),
  /** In words; null where all went well. */
  fault: z.string().nullable(),
  /** When it was undone; null if it stands. */
  undone: z.string().nullable(),
});
/** The result of undoing a sync: cards, and values left as they are since they were changed later. */
export const undoneSyncSchema = z.object({ cards: z.number(), missed: z.number() });
/** The result of undoing a sync. */
export type UndoneSyncResult = z.infer<typeof undoneSyncSchema>;

/** A device as the application shows it. */
export const deviceSchema = z.object({
  name: z.string(),
  user: z.string(),
  direction: z.enum(['both', 'out', 'in']),
  scope: z.enum(SCOPES),
  tag: z.string().nullable(),
  lists: z.array(z.string()),
  notes: z.boolean(),
  photos: z.boolean(),
  photoSide: z.number().nullable(),
  groups: z.boolean(),
  own: z.boolean(),
  directory: z.boolean(),
  isPaused: z.boolean(),
  /** When it last synced; null for never. */
  seen: z.string().nullable(),
  /** Cards its passport includes now. */
  cards: z.number(),
  /** Its last syncs, the latest first. */
  syncs: z.array(syncSchema),
  /** Which simulated device it is. */
  standIn: z.enum(['phone', 'mail', 'computer']).nullable(),
  /** The server's address, where the hub is its client; null for a device. */
  server: z.string().nullable(),
  /** When it next syncs by itself; null where that isn't known. */
  next: z.string().nullable(),
  /** How often it syncs by itself; null where the device decides. */
  everyMinutes: z.number().nullable(),
});
/** A device as the application shows it. */
export type DeviceStatus = z.infer<typeof deviceSchema>;

/** Everything that the Devices place shows. */
export const devicesSchema = z.object({
  devices: z.array(deviceSchema),
  browsers: z.array(z.object({ name: z.string(), seen: z.string().nullable(), isThis: z.boolean() })),
});
/** Everything that the Devices place shows. */
export type DevicesStatus = z.infer<typeof devicesSchema>;

/** A value to settle. */
export const settleSchema = z.object({
  id: z.number(),
  uid: z.string(),
  path: z.string(),
  mine: z.unknown(),
  mineBy: z.string().nullable(),
  mineAt: z.string(),
  theirs: z.unknown(),
  theirsBy: z.string().nullable(),
  theirsAt: z.string(),
});
/** A value to settle. */
export type ToSettle = z.infer<typeof settleSchema>;

/** A line of the log. */
export const logLineSchema = z.object({
  seq: z.number(),
  at: z.string(),
  uid: z.string(),
  says: z.string(),
  by: z.string().nullable(),
});
/** A line of the log. */
export type LogLine = z.infer<typeof logLineSchema>;

/** The token of a paired browser. */
export const pairedSchema = z.object({ token: z.string(), name: z.string() });
/** A new passport's password, shown once. */
export const credentialsSchema = z.object({ url: z.string(), user: z.string(), password: z.string() });
/** A new passport's password, shown once. */
export type NewPassport = z.infer<typeof credentialsSchema>;

/** A card on a simulated device. */
export const heldSchema = z.object({
  uid: z.string(),
  name: z.string(),
  phones: z.array(z.string()),
  mails: z.array(z.string()),
  isGroup: z.boolean(),
  /** Whether it still has to be sent to the hub. */
  isWaiting: z.boolean(),
});
/** A card on a simulated device. */
export type HeldCardView = z.infer<typeof heldSchema>;

/** A simulated device. */
export const standInSchema = z.object({
  kind: z.enum(['phone', 'mail', 'computer']),
  name: z.string(),
  everyMinutes: z.number(),
  isOffline: z.boolean(),
  next: z.string(),
  /** Changes not yet sent to the hub. */
  waiting: z.number(),
  cards: z.array(heldSchema),
});
/** A simulated device. */
export type StandInStatus = z.infer<typeof standInSchema>;

/** What a visit did, or would do: names of cards. */
export const visitSchema = z.object({
  sent: z.array(z.string()),
  received: z.array(z.string()),
  removed: z.array(z.string()),
});
/** What a visit did, or would do: names of cards. */
export type VisitResult = z.infer<typeof visitSchema>;

/** What the next sync would send a device: names of cards. */
export const syncPreviewSchema = z.object({
  added: z.array(z.string()),
  changed: z.array(z.string()),
  removed: z.array(z.string()),
});
/** What the next sync would send a device: names of cards. */
export type SyncPreview = z.infer<typeof syncPreviewSchema>;
