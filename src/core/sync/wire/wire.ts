import { z } from 'zod';

/** Cards in one request or one answer at most, so that neither side holds its breath. */
export const CARDS_AT_ONCE = 300;

/** A card that the application has changed; null where it has been deleted. */
export const pushedSchema = z.object({ uid: z.string().min(1).max(1000), card: z.unknown() });
/** What the application sends. */
export const pushSchema = z.object({
  /** The change up to which it knows everything; 0 where it knows nothing yet. */
  since: z.number().int().min(0),
  changes: z.array(pushedSchema).max(CARDS_AT_ONCE),
});
/** What the application sends. */
export type Push = z.infer<typeof pushSchema>;

const pulledSchema = z.object({
  uid: z.string(),
  /** null where it is gone. */
  card: z.unknown(),
  /** Who changed it last, by name; null for the demo and for nobody who is known any more. */
  by: z.string().nullable(),
});
/** What the hub answers to the question what is new. */
export const pullSchema = z.object({
  cards: z.array(pulledSchema),
  /** Up to which change this reaches. */
  seq: z.number(),
  /** Whether there is more behind it. */
  isMore: z.boolean(),
  /** Lists of which the hub needs to know who is on them. */
  lists: z.array(z.string()),
  /** How many values are to settle. */
  toSettle: z.number(),
  /** The last message of the mailbox that was sent or came in; 0 for none. */
  mail: z.number(),
});
/** What the hub answers to the question what is new. */
export type Pull = z.infer<typeof pullSchema>;

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

/** What the application sends beside cards. */
export const recordsPushSchema = z.object({
  /** The record up to which it knows everything; 0 where it knows nothing yet. */
  since: z.number().int().min(0),
  records: z.array(recordSchema).max(RECORDS_AT_ONCE),
  /** Imports of talks that have been taken back in a month. */
  gone: z.array(z.object({ intake: z.string(), month: z.string() })).max(RECORDS_AT_ONCE),
});
/** What the application sends beside cards. */
export type RecordsPush = z.infer<typeof recordsPushSchema>;

/** What the hub answers to the question which of these are new. */
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
/** What the hub answers to the question which of these are new. */
export type RecordsPull = z.infer<typeof recordsPullSchema>;

/** What a device may receive. */
export const passportSchema = z.object({
  name: z.string().trim().min(1).max(60),
  direction: z.enum(['both', 'out', 'in']),
  tag: z.string().max(200).optional(),
  lists: z.array(z.string()).max(50).optional(),
  notes: z.boolean().optional(),
  photos: z.boolean().optional(),
  /** The longer side that photos are cut down to, in pixels; null for as they are. */
  photoSide: z.number().int().min(32).max(4096).nullable().optional(),
  /** Whether lists go along as group cards. */
  groups: z.boolean().optional(),
  /** Whether only cards go that are kept there by choice, or came from there. */
  own: z.boolean().optional(),
  /** Whether the common directory goes along, to be read. */
  directory: z.boolean().optional(),
  /** Who is signed in to the common directory, where that shall go along. */
  directoryToken: z.string().max(200).optional(),
});
/** What a device may receive. */
export type PassportRequest = z.infer<typeof passportSchema>;

/** A server of which the hub shall be a client. */
export const accountSchema = passportSchema.pick({ name: true, direction: true, own: true }).extend({
  base: z.string().trim().max(500),
  user: z.string().max(200),
  password: z.string().max(500),
  everyMinutes: z.number().int().min(5).max(10_080),
});
/** A server of which the hub shall be a client. */
export type AccountRequest = z.infer<typeof accountSchema>;

/** A sync as the log has it: what came from a device, and what it was served. */
const syncSchema = z.object({
  id: z.number(),
  at: z.string(),
  /** Cards that changed here through it. */
  in: z.number(),
  /** Cards that it was served. */
  out: z.number(),
  /** In words; null where all went well. */
  fault: z.string().nullable(),
  /** When what came was taken back; null where it stands. */
  undone: z.string().nullable(),
});
/** What taking a sync back did: cards, and values left alone as they have been changed since. */
export const undoneSyncSchema = z.object({ cards: z.number(), missed: z.number() });
/** What taking a sync back did. */
export type UndoneSyncResult = z.infer<typeof undoneSyncSchema>;

/** A device as the application shows it. */
export const deviceSchema = z.object({
  name: z.string(),
  user: z.string(),
  direction: z.enum(['both', 'out', 'in']),
  tag: z.string().nullable(),
  lists: z.array(z.string()),
  notes: z.boolean(),
  photos: z.boolean(),
  photoSide: z.number().nullable(),
  groups: z.boolean(),
  own: z.boolean(),
  directory: z.boolean(),
  isPaused: z.boolean(),
  /** When it was here last; null for never. */
  seen: z.string().nullable(),
  /** Cards that its passport lets through now. */
  cards: z.number(),
  /** Its last syncs, the latest first. */
  syncs: z.array(syncSchema),
  /** Which of the three that ship with the product it is. */
  standIn: z.enum(['phone', 'mail', 'computer']).nullable(),
  /** The server's address, where the hub is a client of it; null for a device that comes by itself. */
  server: z.string().nullable(),
  /** When it comes next by itself; null where that is not known here. */
  next: z.string().nullable(),
  /** How often it comes by itself; null where that is the device's own business. */
  everyMinutes: z.number().nullable(),
});
/** A device as the application shows it. */
export type DeviceStatus = z.infer<typeof deviceSchema>;

/** Everything that the place of devices shows. */
export const devicesSchema = z.object({
  devices: z.array(deviceSchema),
  browsers: z.array(z.object({ name: z.string(), seen: z.string().nullable(), isThis: z.boolean() })),
});
/** Everything that the place of devices shows. */
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

/** What a browser shows from now on, once it has been paired. */
export const pairedSchema = z.object({ token: z.string(), name: z.string() });
/** A new passport's password, told once. */
export const credentialsSchema = z.object({ url: z.string(), user: z.string(), password: z.string() });
/** A new passport's password, told once. */
export type NewPassport = z.infer<typeof credentialsSchema>;

/** A card on a device that ships with the product. */
export const heldSchema = z.object({
  uid: z.string(),
  name: z.string(),
  phones: z.array(z.string()),
  mails: z.array(z.string()),
  isGroup: z.boolean(),
  /** Whether it has still to be told to the hub. */
  isWaiting: z.boolean(),
});
/** A card on a device that ships with the product. */
export type HeldCardView = z.infer<typeof heldSchema>;

/** A device that ships with the product. */
export const standInSchema = z.object({
  kind: z.enum(['phone', 'mail', 'computer']),
  name: z.string(),
  everyMinutes: z.number(),
  isOffline: z.boolean(),
  next: z.string(),
  /** Changes that the hub doesn't know yet. */
  waiting: z.number(),
  cards: z.array(heldSchema),
});
/** A device that ships with the product. */
export type StandInStatus = z.infer<typeof standInSchema>;

/** What a visit did, or would do: names of cards. */
export const visitSchema = z.object({
  sent: z.array(z.string()),
  received: z.array(z.string()),
  removed: z.array(z.string()),
});
/** What a visit did, or would do: names of cards. */
export type VisitResult = z.infer<typeof visitSchema>;

/** What a device would be told if it came now: names of cards. */
export const syncPreviewSchema = z.object({
  added: z.array(z.string()),
  changed: z.array(z.string()),
  removed: z.array(z.string()),
});
/** What a device would be told if it came now: names of cards. */
export type SyncPreview = z.infer<typeof syncPreviewSchema>;
