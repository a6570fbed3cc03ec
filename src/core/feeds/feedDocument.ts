import type { Feed } from '../posts';

/** What a document is: a feed, a page that names one, or neither. */
export type FeedDocument =
  | { readonly kind: 'feed'; readonly feed: Feed }
  | { readonly kind: 'page'; readonly feedUri: string }
  | { readonly kind: 'other'; readonly message: string };
