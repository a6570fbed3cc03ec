import type { HubClient, InspectorClient, SearchClient } from '@/book/clients';
import type { BookWriter, PhotoCache } from '@/book/store';
import type { Card } from '@/core/card';
import type { MergeChoices } from '@/core/tidy';
import type { TextStorage } from '@/platform';

/** How thunks reach the outside; passed in, so that tests can pass in others. */
export interface Services {
  readonly storage: TextStorage;
  readonly writer: BookWriter;
  readonly photos: PhotoCache;
  readonly search: SearchClient;
  /** Compares single cards with the book, and reads cards out of texts. */
  readonly inspector: InspectorClient;
  /** Makes one card of each group; the fullest keeps its uid. */
  readonly mergeCards: (groups: readonly (readonly Card[])[], choices: MergeChoices) => Promise<Card[]>;
  readonly hub: HubClient;
  readonly newUid: () => string;
  /** UTCDateTime. */
  readonly utcNow: () => string;
  readonly nowMs: () => number;
  /** Cards that a new book begins with; none for the user's own. */
  readonly fetchFirstCards?: () => Promise<unknown[]>;
  readonly fetchFirstTalks?: () => Promise<unknown[]>;
  /** Mail and calendars that a new book begins with. */
  readonly fetchFirstMail?: () => Promise<File[]>;
  readonly yieldToPage: () => Promise<void>;
  /**
   * Runs a long piece of work unless another page of this browser is at the same.
   *
   * @returns what it gives; undefined where another page is at it
   */
  readonly ifAlone: <T>(name: string, work: () => Promise<T>) => Promise<T | undefined>;
}
