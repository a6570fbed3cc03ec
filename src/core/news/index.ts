/**
 * News noticed: what a signature or the common directory says of somebody that their card doesn't say yet, to be accepted
 * or dismissed.
 * Standard: entries as in RFC 9553; the rest is ours.
 * Left out: finding news in a text (core/lift), which is large and is needed in a worker only.
 */
export { acceptNews } from './acceptNews';
export { isStillNews } from './isStillNews';
export { newsBetween } from './newsBetween';
export { type News, NEWS_WORDS, newsSchema, type Signature } from './news';
