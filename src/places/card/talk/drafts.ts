import type { Card, Uid } from '@/core/card';
import type { Direction, Talk, TalkKind } from '@/core/talks';

/** What is typed after a talk. */
export interface Draft {
  readonly said: string;
  /** In words. */
  readonly next: string;
  readonly opener: string;
  readonly kind: TalkKind;
  readonly direction: Direction;
  readonly day: string;
}

const drafts = new Map<Uid, Draft>();

/** What was typed last about somebody and not saved; else what the sheet begins with. */
export function draftOf(card: Card, talk: Talk | undefined, kind: TalkKind, today: string): Draft {
  const opener = card['cordialis.example:opener'] ?? '';
  if (talk) return { ...talk, next: '', opener };
  const kept = drafts.get(card.uid);
  const begun: Draft = {
    ...{ said: '', next: '', opener, kind, day: today },
    direction: kind === 'meeting' ? 'both' : 'out',
  };
  return kept ? { ...kept, day: today } : begun;
}

/** Keeps what was typed until it is saved. */
export function keepDraft(uid: Uid, draft: Draft): void {
  drafts.set(uid, draft);
}

/** It has been saved. */
export function forgetDraft(uid: Uid): void {
  drafts.delete(uid);
}
