import { type Feed, readFeed } from '@/core/talks';

import { fetchText, type NameLookup } from './fetchText';

/** The most pages between an address and its feed. */
const MAX_STEPS = 2;

/**
 * Fetches the feed at an address, or the one that the page there names.
 *
 * @returns what it says and where it really is
 * @throws Error in words for people
 */
export async function fetchFeed(
  address: string,
  lookup?: NameLookup,
): Promise<Feed & { readonly uri: string }> {
  let uri = address;
  for (let step = 0; step < MAX_STEPS; step += 1) {
    const fetched = await fetchText(uri, lookup);
    const read = readFeed(fetched.text, fetched.uri);
    if (read.kind === 'feed') return { ...read.feed, uri: fetched.uri };
    if (read.kind === 'other') throw new Error(read.message);
    uri = read.feedUri;
  }
  throw new Error('the page names another page as its feed');
}
