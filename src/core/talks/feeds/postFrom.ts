import { oneLine, shortened } from './plainWords';
import { type Feed, MAX_SUMMARY, type Post } from './post';

/** What a feed's own format says of a post, before it is known to be one. */
export interface RawPost {
  readonly id?: string | undefined;
  readonly title?: string | undefined;
  readonly uri?: string | undefined;
  /** In whatever writing; RFC 3339 or RFC 5322. */
  readonly at?: string | undefined;
  /** Plain text. */
  readonly summary?: string | undefined;
}

/**
 * The post, if it says when it was published; one without a day has no place among talks.
 *
 * @param base - the address of the feed, which addresses of posts may be relative to
 */
export function postFrom({ id, title = '', uri, at = '', summary = '' }: RawPost, base: string): Post[] {
  const time = Date.parse(at.trim());
  if (Number.isNaN(time)) return [];
  const place = uri === undefined ? undefined : webAddress(uri, base);
  const name = id?.trim() || place || `${at} ${title}`;
  return [
    {
      ...{ id: name, title: oneLine(title), at: new Date(time).toISOString() },
      ...(place === undefined ? {} : { uri: place }),
      summary: shortened(oneLine(summary), MAX_SUMMARY),
    },
  ];
}

/** An address of the web in full; undefined for any other, as it is offered to be opened. */
export function webAddress(uri: string, base: string): string | undefined {
  try {
    const url = new URL(uri.trim(), base);
    return url.protocol === 'https:' || url.protocol === 'http:' ? url.href : undefined;
  } catch {
    return undefined;
  }
}

/** What core needs of the URL standard (WHATWG), which every place it runs in has. */
declare const URL: new (uri: string, base?: string) => { readonly protocol: string; readonly href: string };

/** The result of reading a document: a feed, a page that names one, or neither. */
export type FeedDocument =
  | { readonly kind: 'feed'; readonly feed: Feed }
  | { readonly kind: 'page'; readonly feedUri: string }
  | { readonly kind: 'other'; readonly message: string };
