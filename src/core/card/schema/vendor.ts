import { z } from 'zod';

import { entriesOf } from './common';

/** RFC 9553 §1.7.2: vendor properties carry a domain name; this one is reserved for examples (RFC 2606). */
export const VENDOR = 'cordialis.example:';

const rhythmSchema = z.looseObject({
  every: z.number().int().positive(),
  unit: z.enum(['day', 'week', 'month', 'quarter', 'year']),
  paused: z.boolean().exactOptional(),
});

/** A value under a name that the user has given it, where no property of the standard fits. */
const ownFieldSchema = z.looseObject({ label: z.string(), value: z.string() });

/** Something to be reminded of. */
const followUpSchema = z.looseObject({ day: z.iso.date(), text: z.string() });

/** An appointment; with several people it stands on the card of each, under the same id. */
const meetingSchema = z.looseObject({
  title: z.string(),
  /** The day, and HH:MM, where the user is. */
  day: z.iso.date(),
  time: z
    .string()
    .regex(/^\d\d:\d\d$/)
    .exactOptional(),
  minutes: z.number().int().positive(),
  place: z.string().exactOptional(),
  /** How often it has been changed since it was first sent (RFC 5545 §3.8.7.4). */
  sequence: z.number().int().min(0).exactOptional(),
});

/** What the product knows of a card and no standard property says. */
export const vendorShape = {
  'cordialis.example:pinned': z.boolean().exactOptional(),
  'cordialis.example:archived': z.boolean().exactOptional(),
  'cordialis.example:private': z.boolean().exactOptional(),
  'cordialis.example:opener': z.string().exactOptional(),
  'cordialis.example:rhythm': rhythmSchema.exactOptional(),
  /** A day such as 2026-11-24, set by hand. */
  'cordialis.example:due': z.iso.date().exactOptional(),
  /** The year in which a day was last kept, such as birth: 2026; days of other kinds by their ids too. */
  'cordialis.example:greeted': z.record(z.string(), z.string()).exactOptional(),
  /** Not to be called quiet: never, or not before a day. */
  'cordialis.example:quiet': z.string().exactOptional(),
  /** IANA time zone where somebody is, where no address says it. */
  'cordialis.example:timeZone': z.string().exactOptional(),
  /** Of a list that fills itself: its rule. */
  'cordialis.example:rule': z.unknown().exactOptional(),
  /** Of a list: which of a member's entries it uses, by the member's uid. */
  'cordialis.example:memberReach': z
    .record(
      z.string(),
      z.object({ emailId: z.string().exactOptional(), phoneId: z.string().exactOptional() }),
    )
    .exactOptional(),
  /** The address of the web whose posts stand among the talks. */
  'cordialis.example:feed': z.string().exactOptional(),
  /** The entry of the common directory that it was copied from, by its uid. */
  'cordialis.example:directory': z.string().exactOptional(),
  /** Whether messages to many leave them out: they don't want to be written to. */
  'cordialis.example:unwritten': z.boolean().exactOptional(),
  /** The ringtone of their calls. */
  'cordialis.example:ring': z.string().exactOptional(),
  /** The servers that it came from or is kept at by choice, by their names here. */
  'cordialis.example:sources': z.record(z.string(), z.literal(true)).exactOptional(),
  'cordialis.example:followUps': entriesOf(followUpSchema).exactOptional(),
  'cordialis.example:meetings': entriesOf(meetingSchema).exactOptional(),
  /** Cards that the user has said are others, however alike they look. */
  'cordialis.example:apart': z.record(z.string(), z.literal(true)).exactOptional(),
  /** Cards that this one stands for, each kept as it is. */
  'cordialis.example:bundled': z.record(z.string(), z.literal(true)).exactOptional(),
  /** What looks wrong and is right as it is, by the kind of fault and the value. */
  'cordialis.example:right': z.record(z.string(), z.literal(true)).exactOptional(),
  /** Uids of cards that were merged into this one, each with the step of the history that did it. */
  'cordialis.example:was': z.record(z.string(), z.string()).exactOptional(),
  'cordialis.example:fields': entriesOf(ownFieldSchema).exactOptional(),
};
