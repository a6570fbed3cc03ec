import { z } from 'zod';

import { isObject } from '@/core/base';
import type { Direction, Uid } from '@/core/card';

import type { CardChange, Cause, SideChange, TalkChange } from './change';

/** One step of the history, without what it did to cards and talks: that lies apart, in pieces. */
export interface Step {
  /** Sorts by time. */
  readonly id: string;
  /** UTCDateTime. */
  readonly at: string;
  readonly cause: Cause;
  /** In words, for the log: "Deleted Ada Lowther". */
  readonly label: string;
  /** Dropped: undone, after which something else was done. */
  readonly state: 'done' | 'undone' | 'dropped';
  /** How many cards and how many talks it changed. */
  readonly cards: number;
  readonly talks: number;
  /** How many pieces it has, and how many characters they have together. */
  readonly pieces: number;
  readonly size: number;
  /** Settings and the like that changed with it. */
  readonly sides?: readonly SideChange[];
  /** Names the import of talks that it stands for; they are too many to be listed. */
  readonly intake?: string;
  /** The properties that it changed, by card; left out where it changed many cards. */
  readonly fields?: Readonly<Record<Uid, readonly string[]>>;
  /** Being undone or redone, piece by piece: the next piece, counted in that direction. */
  readonly replaying?: { readonly direction: Direction; readonly next: number };
  /** A long change under way: the next of its prepared pieces, and how many there are; 0 while they are prepared. */
  readonly todo?: { readonly next: number; readonly pieces: number };
}

/** What a step did to some cards and talks. */
export interface StepPiece {
  readonly cards: readonly CardChange[];
  /** Talks that came, went or changed with it. */
  readonly talks?: readonly TalkChange[];
}

const stepSchema = z.object({
  id: z.string().min(1),
  at: z.string(),
  cause: z.enum(['add', 'edit', 'delete', 'import', 'merge', 'sync']),
  label: z.string(),
  state: z.enum(['done', 'undone', 'dropped']),
  cards: z.number(),
  talks: z.number(),
  pieces: z.number(),
  size: z.number(),
  sides: z.array(z.custom<SideChange>(isObject)).optional(),
  intake: z.string().optional(),
  fields: z.record(z.string(), z.array(z.string())).optional(),
  replaying: z.object({ direction: z.enum(['forward', 'backward']), next: z.number() }).optional(),
  todo: z.object({ next: z.number(), pieces: z.number() }).optional(),
});

/** A step as it is stored; undefined where it can't be read. */
export function parseStep(value: unknown): Step | undefined {
  return stepSchema.safeParse(value).data as Step | undefined;
}

/** A piece as it is stored; undefined where it can't be read. */
export function parsePiece(value: unknown): StepPiece | undefined {
  if (!isObject(value) || !Array.isArray(value['cards'])) return undefined;
  const hasCards = value['cards'].every((one) => isObject(one) && typeof one['uid'] === 'string');
  const talks = value['talks'] ?? [];
  if (!hasCards || !Array.isArray(talks) || !talks.every(isObject)) return undefined;
  return value as unknown as StepPiece;
}

/** Cards of one step of which the changed properties are named. */
const NAMED_CARDS = 30;

/** A step with one piece more. @param size - of the piece, in characters */
export function grown(step: Step, { cards, talks = [] }: StepPiece, size: number): Step {
  const fields = { ...step.fields };
  for (const one of cards)
    if (one.kind === 'edit') fields[one.uid] = [...new Set(one.edits.map(({ path }) => String(path[0])))];
  const isNamed = Object.keys(fields).length > 0 && step.cards + cards.length <= NAMED_CARDS;
  const { fields: _, ...rest } = step;
  return {
    ...rest,
    ...(isNamed ? { fields } : {}),
    cards: step.cards + cards.length,
    talks: step.talks + talks.length,
    pieces: step.pieces + 1,
    size: step.size + size,
  };
}

/** A step once all of it has been undone or redone. Undone talks of an import are gone: their files have to be read again. */
export function replayed(step: Step, direction: Direction): Step {
  const { replaying: _, todo: __, ...rest } = step;
  if (direction === 'forward') return { ...rest, state: 'done' };
  return { ...rest, state: step.intake === undefined ? 'undone' : 'dropped' };
}
