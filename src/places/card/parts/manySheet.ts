import type { ManyChangeRequest } from '@/book/commit';
import type { Card } from '@/core/card';
import type { FormatId } from '@/core/formats';

/** The sheets that the selection bar opens. */
export type ManySheet = 'lists' | 'tags' | 'send' | 'more' | 'field' | 'rhythm' | 'export' | 'sources';

/** What each of the sheets is given. */
export interface ManySheetProps {
  readonly cards: readonly Card[];
  /** As what they are exported at first. */
  readonly format?: FormatId | undefined;
  /** Opens another sheet in its place; undefined closes it. */
  readonly onSheet: (sheet: ManySheet | undefined) => void;
  readonly onChange: (wish: ManyChangeRequest) => Promise<void>;
  /** Called when the cards are out of sight: deleted or archived. */
  readonly onGone: () => void;
}
