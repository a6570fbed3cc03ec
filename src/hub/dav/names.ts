/** Names of elements with their namespaces: RFC 4918, RFC 3744, RFC 5397, RFC 6352, RFC 6578. */
export const dav = (local: string) => `{DAV:}${local}`;
export const card = (local: string) => `{urn:ietf:params:xml:ns:carddav}${local}`;
/** A tag that changes with the collection: no standard, but asked for by many clients. */
export const CTAG = '{http://calendarserver.org/ns/}getctag';

/** Where everything is served. */
export const ROOT = '/dav/';
/** Octets of a card at most; a photo of full size fits, a film doesn't. */
export const MAX_RESOURCE_OCTETS = 2_000_000;
/** Octets of a request's body at most: a multiget of a whole book. */
export const MAX_BODY_OCTETS = 16_000_000;

/** Addresses of a user's resources. */
export const principalPath = (user: string) => `${ROOT}principals/${user}/`;
export const homePath = (user: string) => `${ROOT}books/${user}/`;
export const bookPath = (user: string, isDirectory = false) =>
  `${ROOT}books/${user}/${isDirectory ? 'directory' : 'cards'}/`;
