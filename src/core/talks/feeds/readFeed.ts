import { errorMessage, readXml } from '@/core/base';
import { texts } from '@/texts/talks/feeds';

import { type Feed, MAX_POSTS } from './post';
import { type FeedDocument, webAddress } from './postFrom';
import { isAtom, readAtom } from './readAtom';
import { readJsonFeed } from './readJsonFeed';
import { isRss, readRss } from './readRss';

/** Media types of feeds, the one that says most first. */
const FEED_TYPES = ['application/atom+xml', 'application/feed+json', 'application/rss+xml'];

/**
 * Reads what came from an address: a feed, or a page that names its feed. What it is is told from the text, as servers
 * say all sorts of media types.
 *
 * @param base - the address that it came from
 */
export function readFeed(text: string, base: string): FeedDocument {
  const trimmed = text.replace(/^\ufeff/, '').trimStart();
  if (trimmed.startsWith('{')) {
    const feed = readJsonFeed(parsed(trimmed), base);
    return feed ? inOrder(feed) : { kind: 'other', message: texts.thereIsJsonAtThisAddress };
  }
  if (/^<(!doctype html|html)\b/i.test(trimmed)) return readPage(trimmed, base);
  try {
    const root = readXml(trimmed);
    if (isAtom(root)) return inOrder(readAtom(root, base));
    if (isRss(root)) return inOrder(readRss(root, base));
    return { kind: 'other', message: texts.thereIsXmlAtThisAddress };
  } catch (error) {
    const page = readPage(trimmed, base);
    if (page.kind === 'page' || !trimmed.startsWith('<?xml')) return page;
    const reason = errorMessage(error);
    return { kind: 'other', message: texts.feedCantBeRead(reason) };
  }
}

/** The feed that a page names: link rel="alternate" with the type of one (WHATWG HTML §4.6.7.1). */
function readPage(html: string, base: string): FeedDocument {
  const links = [...html.matchAll(/<link\b[^>]*>/gi)].map(([tag]) => attributesOf(tag));
  const feeds = links.filter(({ rel = '' }) => rel.toLowerCase().split(/\s+/).includes('alternate'));
  for (const type of FEED_TYPES) {
    const href = feeds.find((link) => link['type']?.toLowerCase() === type)?.['href'];
    const feedUri = href === undefined ? undefined : webAddress(href, base);
    if (feedUri !== undefined) return { kind: 'page', feedUri };
  }
  return { kind: 'other', message: texts.pageAtThisAddress };
}

function attributesOf(tag: string): Record<string, string> {
  const found = tag.matchAll(/([a-z-]+)\s*=\s*(?:"([^"]*)"|'([^']*)'|([^\s"'>]+))/gi);
  return Object.fromEntries(
    [...found].map(([, name = '', a, b, c]) => [
      name.toLowerCase(),
      (a ?? b ?? c ?? '').replaceAll('&amp;', '&'),
    ]),
  );
}

function inOrder({ title, posts }: Feed): FeedDocument {
  const latest = [...posts].sort((a, b) => (a.at < b.at ? 1 : -1)).slice(0, MAX_POSTS);
  return { kind: 'feed', feed: { title: title.trim(), posts: latest } };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
