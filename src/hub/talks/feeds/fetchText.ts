import { lookup as resolve } from 'node:dns';
import { get as getHttp } from 'node:http';
import { get as getHttps } from 'node:https';
import { BlockList, isIP, type LookupFunction } from 'node:net';
import { pipeline } from 'node:stream';
import { createBrotliDecompress, createGunzip, createInflate } from 'node:zlib';

import { texts } from '@/texts/talks/feeds';

/** The most octets of a feed, decompressed: a larger one would be an attempt to fill the memory. */
const MAX_OCTETS = 4_000_000;
/** The most redirects followed. */
const MAX_REDIRECTS = 5;
/** How long a server may be silent, and how long all of it may take, in milliseconds. */
const [SILENT_MS, WHOLE_MS] = [8000, 20_000];

/** A fetched text, and its final address. */
export interface FetchedText {
  readonly text: string;
  readonly uri: string;
}

/** An address for a name, overriding DNS. */
export type NameLookup = (host: string) => { readonly address: string; readonly port: number } | undefined;

/** Private networks (RFC 6890), which no outside address may lead into: a page must not make the hub scan them. */
const INNER = new BlockList();
for (const [net, bits] of [
  ...([
    ['0.0.0.0', 8],
    ['10.0.0.0', 8],
    ['100.64.0.0', 10],
    ['127.0.0.0', 8],
    ['169.254.0.0', 16],
  ] as const),
  ...([
    ['172.16.0.0', 12],
    ['192.0.0.0', 24],
    ['192.168.0.0', 16],
    ['198.18.0.0', 15],
  ] as const),
  ...([
    ['224.0.0.0', 4],
    ['240.0.0.0', 4],
  ] as const),
])
  INNER.addSubnet(net, bits, 'ipv4');
for (const [net, bits] of [
  // The loopback, the unspecified address, and those that stand for one of IPv4 (RFC 4291 §2.5.5.1).
  ['::', 96],
  ['100::', 64],
  // Teredo (RFC 4380) and 6to4 (RFC 3056) lead to an address of IPv4 that they name.
  ['2001::', 32],
  ['2002::', 16],
  ['fc00::', 7],
  ['fe80::', 10],
  ['fec0::', 10],
  ['ff00::', 8],
  ['64:ff9b::', 96],
  ['64:ff9b:1::', 48],
] as const)
  INNER.addSubnet(net, bits, 'ipv6');

/** Whether an IP address lies in a private network. */
export function isInner(address: string): boolean {
  const mapped = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1];
  if (mapped !== undefined) return INNER.check(mapped, 'ipv4');
  return INNER.check(address, isIP(address) === 6 ? 'ipv6' : 'ipv4');
}

/**
 * Fetches a text from the web, following where it leads.
 *
 * @param lookup - names that stand for a place of their own
 * @throws Error in words for people: not found, too large, too slow, an address at home
 */
export async function fetchText(address: string, lookup?: NameLookup): Promise<FetchedText> {
  const signal = AbortSignal.timeout(WHOLE_MS);
  let uri = address;
  for (let count = 0; count <= MAX_REDIRECTS; count += 1) {
    const answer = await fetchOnce(webAddress(uri), signal, lookup);
    if (answer.kind === 'text') return { text: answer.text, uri };
    uri = new URL(answer.to, uri).href;
  }
  throw new Error(`the address leads on more than ${MAX_REDIRECTS} times`);
}

function webAddress(uri: string): URL {
  const url = URL.canParse(uri) ? new URL(uri) : undefined;
  if (!url || !/^https?:$/.test(url.protocol) || url.username !== '')
    throw new Error('this is no address of the web');
  return url;
}

type Answer = { readonly kind: 'text'; readonly text: string } | { readonly kind: 'on'; readonly to: string };

function fetchOnce(url: URL, signal: AbortSignal, lookup?: NameLookup): Promise<Answer> {
  const known = lookup?.(url.hostname);
  const host = url.hostname.replace(/^\[|\]$/g, '');
  if (!known && isIP(host) !== 0 && isInner(host)) return Promise.reject(new Error(AT_HOME));
  const options = {
    ...{ signal, timeout: SILENT_MS, lookup: outerLookup, agent: false },
    headers: {
      Accept: 'application/atom+xml, application/feed+json, application/rss+xml, text/html;q=0.5, */*;q=0.1',
      'Accept-Encoding': 'gzip, br, deflate',
      'User-Agent': 'Cordialis hub',
      Host: url.host,
    },
  };
  return new Promise((done, fail) => {
    // An overridden name is reached without TLS, as everything on this machine is.
    const request = known
      ? getHttp({ ...options, host: known.address, port: known.port, path: url.pathname + url.search })
      : url.protocol === 'https:'
        ? getHttps(url, options)
        : getHttp(url, options);
    const failInWords = (error: Error) => fail(new Error(inWords(error, url.host)));
    request.on('timeout', () => request.destroy(new Error('silent')));
    request.on('error', failInWords);
    request.on('response', (response) => {
      const { statusCode = 0, headers } = response;
      if (statusCode >= 300 && statusCode < 400 && headers.location !== undefined) {
        response.resume();
        return done({ kind: 'on', to: headers.location });
      }
      if (statusCode !== 200) {
        response.resume();
        return fail(new Error(`${url.host} answered ${statusCode}`));
      }
      readBody(response, headers['content-encoding']).then(
        (text) => done({ kind: 'text', text }),
        failInWords,
      );
    });
  });
}

async function readBody(response: NodeJS.ReadableStream, encoding: string | undefined): Promise<string> {
  const unpack = UNPACK[encoding ?? ''];
  const pieces: Buffer[] = [];
  let octets = 0;
  // A broken connection must end the decompressor too, which would otherwise wait for ever.
  for await (const piece of unpack ? pipeline(response, unpack(), () => undefined) : response) {
    const bytes = Buffer.from(piece);
    octets += bytes.length;
    if (octets > MAX_OCTETS) throw new Error('what is there is too large for a feed');
    pieces.push(bytes);
  }
  return Buffer.concat(pieces).toString('utf8');
}

const UNPACK: Readonly<Record<string, () => NodeJS.ReadWriteStream>> = {
  gzip: createGunzip,
  br: createBrotliDecompress,
  deflate: createInflate,
};

const AT_HOME = texts.addressLeadsIntoPrivate;

/** Resolves a name and refuses private addresses at the moment of connecting, so that a second answer can't differ. */
const outerLookup: LookupFunction = (host, options, done) => {
  resolve(host, { ...options, all: true }, (error, found) => {
    if (error) return done(error, '', 4);
    const outer = found.filter(({ address }) => !isInner(address));
    const [first] = outer;
    if (!first) return done(new Error(AT_HOME), '', 4);
    if (options.all === true) return done(null, outer);
    done(null, first.address, first.family);
  });
};

function inWords(error: Error & { code?: string }, host: string): string {
  if (error.name === 'AbortError' || error.name === 'TimeoutError' || error.message === 'silent')
    return texts.doesntAnswer(host);
  if (error.code === 'ENOTFOUND' || error.code === 'EAI_AGAIN')
    return texts.isntKnownOrThereIsNoNetwork(host);
  if (error.code !== undefined) return texts.cantBeReached(host, error.code);
  return error.message;
}
