import type { TextStorage } from '@/platform';

import type { SearchClient } from './clients/searchClient';
import type { PhotoCache } from './photos/photoCache';
import type { BookWriter } from './store/bookWriter';

/** What thunks reach the outside by; handed in, so that tests can hand in others. */
export interface Services {
  readonly storage: TextStorage;
  readonly writer: BookWriter;
  readonly photos: PhotoCache;
  readonly search: SearchClient;
  readonly newUid: () => string;
  /** UTCDateTime. */
  readonly utcNow: () => string;
  readonly nowMs: () => number;
  /** Cards that a new book begins with; none for the user's own. */
  readonly fetchFirstCards?: () => Promise<unknown[]>;
  readonly fetchFirstTalks?: () => Promise<unknown[]>;
  readonly yieldToPage: () => Promise<void>;
}
