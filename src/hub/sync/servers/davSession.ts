import {
  addressBookMultiGet,
  createDAVClient,
  createObject,
  deleteObject,
  syncCollection,
  updateObject,
} from 'tsdav';

import { inBatches } from '@/core/base';

import { pinnedFetch } from './pinnedFetch';

/** Where a client signs in. */
export interface DavAccount {
  /** The host's address, from which the cards are found by discovery. */
  readonly base: string;
  readonly user: string;
  readonly password: string;
  readonly version: '3.0' | '4.0';
  /** How long the server may take for one answer, in milliseconds. */
  readonly answerMs?: number;
}

/** Cards added, changed and deleted. */
export interface DavNews {
  readonly syncToken: string;
  /** The addresses of all that is there, where it was listed as a whole: whatever isn't among them is gone. */
  readonly listed: readonly string[] | undefined;
  readonly changed: readonly { readonly href: string; readonly etag: string; readonly text: string }[];
  readonly gone: readonly string[];
}

/** A client session that has discovered the collection of cards on a server. */
export interface DavSession {
  /**
   * @param syncToken - '' for everything @throws Error where the server refuses; a token that it doesn't know is left
   * out by itself
   */
  news(syncToken: string): Promise<DavNews>;
  /** @param etag - '' for a card that isn't there yet, undefined for whatever is there @returns the status of HTTP */
  put(href: string, text: string, etag: string | undefined): Promise<number>;
  remove(href: string, etag: string | undefined): Promise<number>;
}

/** Cards asked for in one request. */
const AT_ONCE = 100;

/** Signs in and finds the cards (RFC 6764, RFC 5397, RFC 6352 §7.1). @throws Error in words */
export async function openDavSession({
  base,
  user,
  password,
  version,
  answerMs,
}: DavAccount): Promise<DavSession> {
  const pinned = pinnedFetch(base, answerMs);
  const client = await createDAVClient({
    serverUrl: base,
    credentials: { username: user, password },
    authMethod: 'Basic',
    defaultAccountType: 'carddav',
    fetch: pinned,
  });
  const [book] = await client.fetchAddressBooks();
  if (!book) throw new Error('there are no cards to be found under that address');
  const headers = { Authorization: `Basic ${Buffer.from(`${user}:${password}`).toString('base64')}` };
  const at = (href: string) => new URL(encodeURIComponent(href), book.url).href;
  return {
    news: (syncToken) => readNews({ url: book.url, headers, version, fetch: pinned }, syncToken),
    put: async (href, text, etag) => {
      const type = { 'content-type': 'text/vcard; charset=utf-8' };
      const condition: Record<string, string> =
        etag === undefined ? {} : etag === '' ? { 'If-None-Match': '*' } : { 'If-Match': etag };
      const asked = {
        url: at(href),
        data: text,
        headers: { ...headers, ...type, ...condition },
        fetch: pinned,
      };
      return (await (etag === '' ? createObject(asked) : updateObject(asked))).status;
    },
    remove: async (href, etag) =>
      (
        await deleteObject({
          url: at(href),
          headers,
          fetch: pinned,
          ...(etag === undefined || etag === '' ? {} : { etag }),
        })
      ).status,
  };
}

interface Place {
  readonly url: string;
  readonly headers: Record<string, string>;
  readonly version: string;
  readonly fetch: typeof fetch;
}

/** Answers put together where a server tells its news in parts (RFC 6578 §3.6): enough for some hundred thousand cards. */
const MAX_PARTS = 1000;

async function readNews(place: Place, syncToken: string): Promise<DavNews> {
  const gone = new Set<string>();
  const there = new Map<string, string>();
  let [token, isOver] = [syncToken, false];
  for (let part = 0; part < MAX_PARTS && !isOver; part += 1) {
    const said = await readPart(place, token);
    // An expired token: start over.
    if (!said) return readNews(place, '');
    for (const path of said.gone) {
      there.delete(lastPart(path));
      gone.add(lastPart(path));
    }
    for (const path of said.there) {
      there.set(lastPart(path), path);
      gone.delete(lastPart(path));
    }
    isOver = !said.isMore;
    // One that goes on and stays where it is never ends.
    if (said.isMore && said.token === token) break;
    token = said.token;
  }
  const changed: DavNews['changed'][number][] = [];
  for (const paths of inBatches([...there.values()], AT_ONCE))
    changed.push(...(await readCards(place, paths)));
  // What is listed is there, even where the server doesn't give it.
  const listed = syncToken === '' && isOver ? [...there.keys()] : undefined;
  return { syncToken: token, listed, changed, gone: [...gone] };
}

interface Part {
  readonly token: string;
  readonly there: readonly string[];
  readonly gone: readonly string[];
  readonly isMore: boolean;
}

/** @returns undefined for a token that isn't good any more */
async function readPart(place: Place, syncToken: string): Promise<Part | undefined> {
  const responses = await syncCollection({
    ...{ url: place.url, headers: place.headers, fetch: place.fetch, syncLevel: 1, syncToken },
    props: { 'd:getetag': {} },
  });
  const [first] = responses;
  if (first?.status === 403 && syncToken !== '') return undefined;
  if (first && !first.href && !first.ok) throw new Error(`the server answered ${first.status}`);
  const token = tokenIn(first?.raw);
  if (token === undefined)
    throw new Error(`the server answered ${first?.status ?? 0} ${first?.statusText ?? ''}`);
  const named = responses.flatMap(({ href, status }) => (href === undefined ? [] : [{ href, status }]));
  const paths = (is: (status: number) => boolean) =>
    named.filter(({ status }) => is(status)).map(({ href }) => href);
  return {
    token,
    there: paths((status) => status !== GONE && status !== CUT),
    gone: paths((status) => status === GONE),
    isMore: named.some(({ status }) => status === CUT),
  };
}

/** Of a member that isn't there any more, and of a collection whose news are told in parts (RFC 6578 §3.5, §3.6). */
const [GONE, CUT] = [404, 507];

async function readCards(
  { url, headers, version, fetch: pinned }: Place,
  paths: readonly string[],
): Promise<DavNews['changed'][number][]> {
  const attributes = { 'content-type': 'text/vcard', version };
  const found = await addressBookMultiGet({
    ...{ url, headers, objectUrls: [...paths], depth: '1', fetch: pinned },
    props: { 'd:getetag': {}, 'card:address-data': { _attributes: attributes } },
  });
  return found.flatMap(({ href, props }) => {
    const text = textOf(props?.['addressData']);
    return href === undefined || text === ''
      ? []
      : [{ href: lastPart(href), etag: textOf(props?.['getetag']), text }];
  });
}

/** The library returns texts either as strings or wrapped in objects. */
function textOf(value: unknown): string {
  if (typeof value === 'string') return value;
  const inner = typeof value === 'object' && value && '_cdata' in value ? value._cdata : undefined;
  return typeof inner === 'string' ? inner : '';
}

function tokenIn(raw: unknown): string | undefined {
  const status = typeof raw === 'object' && raw && 'multistatus' in raw ? raw.multistatus : undefined;
  const token = typeof status === 'object' && status && 'syncToken' in status ? status.syncToken : undefined;
  return typeof token === 'string' ? token : undefined;
}

function lastPart(path: string): string {
  return decodeURIComponent(path.split('/').at(-1) ?? '');
}
