import { z } from 'zod';

import type { Uid } from '@/core/card';

/** Kinds of talks, the ones that say most of two people first. */
export const TALK_KINDS = ['meeting', 'call', 'letter', 'message', 'mail'] as const;
/** One of the kinds. */
export type TalkKind = (typeof TALK_KINDS)[number];

/** Who began it: the user, the other, or both as in a meeting. */
export const DIRECTIONS = ['out', 'in', 'both'] as const;
/** One of them. */
export type Direction = (typeof DIRECTIONS)[number];

/** A file that was part of a talk; its bytes lie in the store under `blobId`, or are with it as a data: URI. */
const talkFileSchema = z.object({
  name: z.string(),
  blobId: z.string().exactOptional(),
  uri: z.string().exactOptional(),
});

/** A file that was part of a talk. */
export type TalkFile = z.infer<typeof talkFileSchema>;

/** One conversation on record. */
export const talkSchema = z.object({
  id: z.string().min(1),
  kind: z.enum(TALK_KINDS),
  /** The day where the user was, ISO 8601. */
  day: z.iso.date(),
  /** HH:MM where the user was. */
  time: z
    .string()
    .regex(/^\d\d:\d\d$/)
    .exactOptional(),
  direction: z.enum(DIRECTIONS),
  /** Uids of those it was with, one at least. */
  with: z.array(z.string()).min(1),
  /** What was said, in the simple formatting of notes; '' for nothing. */
  said: z.string(),
  /** What it was about, in a line: the subject of a mail, the title of an appointment. */
  about: z.string().exactOptional(),
  files: z.array(talkFileSchema).exactOptional(),
  /** Names the import that it came with; none for a talk that was noted by hand. */
  intake: z.string().exactOptional(),
});

/** One conversation on record. */
export type Talk = z.infer<typeof talkSchema>;

/** Reads a talk from outside; undefined for anything else. */
export function parseTalk(value: unknown): Talk | undefined {
  return talkSchema.safeParse(value).data;
}

/** Why a value from outside is no talk: what and where; undefined where it is one. */
export function talkFault(value: unknown): string | undefined {
  const issue = talkSchema.safeParse(value).error?.issues[0];
  return issue && `${issue.path.join('.')}: ${issue.message}`;
}

/** The month whose shard holds a talk: 2026-11. */
export function monthOf({ day }: Pick<Talk, 'day'>): string {
  return day.slice(0, 7);
}

/** The latest first; by id where day and time are the same, so that the order never changes by itself. */
export function compareTalks(a: Talk, b: Talk): number {
  const [first, second] = [whenOf(a), whenOf(b)];
  if (first !== second) return first < second ? 1 : -1;
  return a.id < b.id ? 1 : Number(a.id > b.id) * -1;
}

/** Talks without a time stand after those of the same day that have one. */
function whenOf({ day, time = '00:00' }: Talk): string {
  return `${day} ${time}`;
}

/** What #keywords a text has, without the mark, each once. */
export function keywordsOf(text: string): string[] {
  const found = text.matchAll(/(?:^|[\s(])#([\p{L}\p{N}][\p{L}\p{N}_-]*)/gu);
  return [...new Set([...found].map(([, word = '']) => word.toLowerCase()))];
}

/** Talks with one of some cards, the latest first. */
export function talksWith(talks: readonly Talk[], uids: readonly Uid[]): Talk[] {
  return talks.filter((talk) => uids.some((uid) => talk.with.includes(uid))).sort(compareTalks);
}
