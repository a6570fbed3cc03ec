import type { Card } from '@/core/card';
import type { MergeChoices } from '@/core/merging';
import type { TextStorage } from '@/platform';

import type { SearchClient } from './clients/searchClient';
import type { TwinsClient } from './clients/twinsClient';
import type { HubClient } from './hub/hubClient';
import type { PhotoCache } from './photos/photoCache';
import type { BookWriter } from './store/bookWriter';

/** What thunks reach the outside by; handed in, so that tests can hand in others. */
export interface Services {
  readonly storage: TextStorage;
  readonly writer: BookWriter;
  readonly photos: PhotoCache;
  readonly search: SearchClient;
  /** Compares single cards with the book, and reads cards out of texts. */
  readonly twins: TwinsClient;
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
}
