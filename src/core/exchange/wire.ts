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
});
/** What the hub answers to the question what is new. */
export type Pull = z.infer<typeof pullSchema>;

/** What a device may receive. */
export const passportSchema = z.object({
  name: z.string().trim().min(1).max(60),
  direction: z.enum(['both', 'out', 'in']),
  tag: z.string().max(200).optional(),
  lists: z.array(z.string()).max(50).optional(),
  notes: z.boolean().optional(),
  photos: z.boolean().optional(),
  /** Whether lists go along as group cards. */
  groups: z.boolean().optional(),
});
/** What a device may receive. */
export type PassportWish = z.infer<typeof passportSchema>;

/** A server of which the hub shall be a client. */
export const accountSchema = passportSchema.pick({ name: true, direction: true }).extend({
  base: z.string().trim().max(500),
  user: z.string().max(200),
  password: z.string().max(500),
  everyMinutes: z.number().int().min(5).max(10_080),
});
/** A server of which the hub shall be a client. */
export type AccountWish = z.infer<typeof accountSchema>;

/** A sync as the log has it: what came from a device, and what it was served. */
const syncSchema = z.object({
  at: z.string(),
  /** Cards that changed here through it. */
  in: z.number(),
  /** Cards that it was served. */
  out: z.number(),
  /** In words; null where all went well. */
  fault: z.string().nullable(),
});
/** A device as the application shows it. */
export const deviceSchema = z.object({
  name: z.string(),
  user: z.string(),
  direction: z.enum(['both', 'out', 'in']),
  tag: z.string().nullable(),
  lists: z.array(z.string()),
  notes: z.boolean(),
  photos: z.boolean(),
  groups: z.boolean(),
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
});
/** A device as the application shows it. */
export type DeviceNow = z.infer<typeof deviceSchema>;

/** Everything that the place of devices shows. */
export const devicesSchema = z.object({
  devices: z.array(deviceSchema),
  browsers: z.array(z.object({ name: z.string(), seen: z.string().nullable(), isThis: z.boolean() })),
});
/** Everything that the place of devices shows. */
export type DevicesNow = z.infer<typeof devicesSchema>;

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
export type HeldNow = z.infer<typeof heldSchema>;

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
export type StandInNow = z.infer<typeof standInSchema>;

/** What a visit did, or would do: names of cards. */
export const visitSchema = z.object({
  sent: z.array(z.string()),
  received: z.array(z.string()),
  removed: z.array(z.string()),
});
/** What a visit did, or would do: names of cards. */
export type VisitNow = z.infer<typeof visitSchema>;

/** What a device would be told if it came now: names of cards. */
export const aheadSchema = z.object({
  added: z.array(z.string()),
  changed: z.array(z.string()),
  removed: z.array(z.string()),
});
/** What a device would be told if it came now: names of cards. */
export type AheadNow = z.infer<typeof aheadSchema>;
