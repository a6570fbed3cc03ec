/** Names of elements with their namespaces: RFC 4918, RFC 3744, RFC 5397, RFC 6352, RFC 6578. */
export const dav = (local: string) => `{DAV:}${local}`;
export const card = (local: string) => `{urn:ietf:params:xml:ns:carddav}${local}`;
/** A tag that changes with the collection: not standardised, but requested by many clients. */
export const CTAG = '{http://calendarserver.org/ns/}getctag';

/** The root path. */
export const ROOT = '/dav/';
/** The most octets of a card; a full-size photo fits, a film doesn't. */
export const MAX_RESOURCE_OCTETS = 2_000_000;
/** The most octets of a request's body: a card, or the addresses of a whole book. */
export const MAX_BODY_OCTETS = 3_000_000;
/** Members that one answer to a sync tells: with their cards, and by their tags only. The rest comes with the next (RFC 6578 §3.6). */
export const [MAX_TOLD_WHOLE, MAX_TOLD] = [500, 10_000];
/** Cards that a query finds at most (RFC 6352 §8.6.2). */
export const MAX_FOUND = 5000;

/** Addresses of a user's resources. */
export const principalPath = (user: string) => `${ROOT}principals/${user}/`;
export const homePath = (user: string) => `${ROOT}books/${user}/`;
/** Of a card in a collection. */
export const cardPath = (user: string, href: string, isDirectory = false) =>
  bookPath(user, isDirectory) + encodeURIComponent(href);
export const bookPath = (user: string, isDirectory = false) =>
  `${ROOT}books/${user}/${isDirectory ? 'directory' : 'cards'}/`;
