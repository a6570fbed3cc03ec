import { type Card, diffCards, type Edit, type Uid } from '@/core/card';
import type { News, Talk } from '@/core/talks';

/** Why the book changed. */
export type Cause = 'add' | 'edit' | 'delete' | 'import' | 'merge' | 'sync';

/** What happened to one card. An added card is kept here only once it has been undone. */
export type CardChange =
  | { readonly kind: 'add'; readonly uid: Uid; readonly card?: Card }
  | { readonly kind: 'remove'; readonly uid: Uid; readonly card: Card }
  | { readonly kind: 'edit'; readonly uid: Uid; readonly edits: readonly Edit[] };

/** A talk before and after; undefined where there is none. */
export interface TalkChange {
  readonly before?: Talk | undefined;
  readonly after?: Talk | undefined;
  /** Of a talk that came, only what finds it is kept. */
  readonly isSlim?: boolean;
}

/** A piece of news as it is stored; a dismissed one is kept, so that it never returns. */
export interface StoredNews {
  readonly news: News;
  readonly isDismissed?: boolean;
}

/** One setting, or one entry of a setting that is a table of them (the colours of tags), before and after. */
export interface SettingEdit {
  readonly key: string;
  readonly entry?: string;
  readonly before?: unknown;
  readonly after?: unknown;
}

/** What changed beside cards and talks and is undone together with them: settings, or whether news is offered. */
export type SideChange =
  | { readonly kind: 'settings'; readonly edits: readonly SettingEdit[] }
  | { readonly kind: 'news'; readonly before: StoredNews; readonly after: StoredNews };

/** A card before and after; undefined where there is none. */
export interface BeforeAfter {
  readonly before?: Card | undefined;
  readonly after?: Card | undefined;
}

/** The change per card; unchanged cards have none. */
export function toCardChanges(pairs: readonly BeforeAfter[]): CardChange[] {
  return pairs.flatMap(({ before, after }): CardChange[] => {
    if (!before) return after ? [{ kind: 'add', uid: after.uid }] : [];
    if (!after) return [{ kind: 'remove', uid: before.uid, card: before }];
    // When it was changed says nothing that could be undone.
    const edits = diffCards(before, after).filter(({ path }) => path[0] !== 'updated');
    return edits.length === 0 ? [] : [{ kind: 'edit', uid: after.uid, edits }];
  });
}
