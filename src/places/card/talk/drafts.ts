import { z } from 'zod';

import type { Services } from '@/book/state';
import { parseJson } from '@/book/store';
import type { Card, Uid } from '@/core/card';
import {
  type Direction,
  type PlannedMeeting,
  type Talk,
  type TalkFile,
  type TalkKind,
  talkSchema,
} from '@/core/talks';

const draftSchema = talkSchema
  .pick({ said: true, kind: true, direction: true, day: true, with: true })
  .extend({ next: z.string(), opener: z.string(), about: z.string() })
  .extend({ files: talkSchema.shape.files.unwrap() });

/** What is typed after a talk. */
export interface Draft {
  readonly said: string;
  /** In words. */
  readonly next: string;
  readonly opener: string;
  readonly kind: TalkKind;
  readonly direction: Direction;
  readonly day: string;
  /** Whom it was with, the one whose card it is noted on first. */
  readonly with: readonly Uid[];
  readonly about: string;
  readonly files: readonly TalkFile[];
}

const drafts = new Map<Uid, Draft>();

/** What a sheet is opened for. */
export interface DraftSource {
  /** The talk that is changed. */
  readonly talk?: Talk | undefined;
  /** The appointment that has been kept. */
  readonly meeting?: PlannedMeeting | undefined;
  readonly kind: TalkKind;
  readonly today: string;
}

/** What was typed last about somebody and not saved; else what the sheet begins with. */
export function draftOf(card: Card, { talk, meeting, kind, today }: DraftSource): Draft {
  const opener = card['cordialis.example:opener'] ?? '';
  const empty = { said: '', next: '', about: '', files: [] };
  if (talk) return { ...empty, opener, ...talk };
  if (meeting) {
    const { day, title } = meeting.meeting;
    const others = meeting.uids.filter((uid) => uid !== card.uid);
    return {
      ...{ ...empty, opener, kind: 'meeting', direction: 'both' },
      ...{ day: day < today ? day : today, about: title, with: [card.uid, ...others] },
    };
  }
  const kept = drafts.get(card.uid);
  if (kept) return { ...kept, day: today };
  return {
    ...{ ...empty, opener, kind, day: today, with: [card.uid] },
    direction: kind === 'meeting' ? 'both' : 'out',
  };
}

/** Keeps what was typed until it is saved, over a reload as well. */
export function keepDraft({ writer }: Pick<Services, 'writer'>, uid: Uid, draft: Draft): void {
  drafts.set(uid, draft);
  writer.put(`${DRAFT_KEY}${uid}`, JSON.stringify(draft));
}

/** It has been saved. */
export function forgetDraft({ writer }: Pick<Services, 'writer'>, uid: Uid): void {
  drafts.delete(uid);
  writer.put(`${DRAFT_KEY}${uid}`, '');
}

/** What was typed before the page was loaded; undefined where there is nothing, or it has been read already. */
export async function storedDraft(
  { storage }: Pick<Services, 'storage'>,
  uid: Uid,
): Promise<Draft | undefined> {
  if (drafts.has(uid)) return undefined;
  const text = await storage.getItem(`${DRAFT_KEY}${uid}`).catch(() => null);
  const draft = draftSchema.safeParse(text ? parseJson(text) : undefined).data;
  if (draft && !drafts.has(uid)) drafts.set(uid, draft);
  return draft;
}

const DRAFT_KEY = 'draft:';
