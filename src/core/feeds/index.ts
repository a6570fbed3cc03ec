/**
 * Feeds of posts: what somebody publishes, read from Atom, JSON Feed or RSS.
 * Standard: RFC 4287; JSON Feed 1.1; RSS 2.0; autodiscovery by link elements of HTML.
 * Left out: fetching them (the hub does), pictures and enclosures, extensions of other names.
 */
export type { FeedDocument } from './feedDocument';
export { readFeed } from './readFeed';
