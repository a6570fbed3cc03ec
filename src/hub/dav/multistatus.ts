import type { DavAnswer } from './davRequest';
import type { SeenForm } from './forms';
import { dav } from './names';
import { pathOf, PROPERTIES, type PropertySource } from './properties';
import { element, text, type Xml, xmlDocument, xmlInPieces } from './writeXml';

/** A 207 answer (RFC 4918 §13). */
export function multistatus(responses: readonly Xml[], more: readonly Xml[] = []): DavAnswer {
  return {
    status: 207,
    headers: { 'Content-Type': 'application/xml; charset=utf-8' },
    body: xmlDocument(dav('multistatus'), [...responses, ...more]),
  };
}

/** A 207 answer whose responses are made while it is sent. */
export function multistatusInPieces(pieces: AsyncIterable<readonly Xml[]>): DavAnswer {
  return { ...multistatus([]), body: xmlInPieces(dav('multistatus'), pieces) };
}

/** A resource's answer to a property request: those found, and those not found (404). */
export function responseOf(source: PropertySource, names: readonly string[], onlyNames = false): Xml {
  const found: Xml[] = [];
  const missing: Xml[] = [];
  for (const name of names) {
    const value = PROPERTIES[name]?.(source);
    if (value === undefined) missing.push(element(name));
    else found.push(onlyNames ? element(name) : element(name, value));
  }
  const stats = [
    ...(found.length > 0 || missing.length === 0 ? [propstat(found, 'HTTP/1.1 200 OK')] : []),
    ...(missing.length > 0 && !onlyNames ? [propstat(missing, 'HTTP/1.1 404 Not Found')] : []),
  ];
  return element(dav('response'), [element(dav('href'), text(pathOf(source))), ...stats]);
}

/** What the addresses and entity tags of cards stand at. */
const [ADDRESS, TAG] = ['address-of-card', 'tag-of-card'];

/**
 * Answers for cards of which nothing is told but their addresses and entity tags: all else is the same for all of them, and written once.
 */
export function answersAlike(
  source: Pick<PropertySource, 'request' | 'view'>,
  isDirectory: boolean,
  names: readonly string[],
  onlyNames = false,
): (head: Pick<SeenForm, 'href' | 'etag'>) => Xml {
  const of = ({ href, etag }: Pick<SeenForm, 'href' | 'etag'>) =>
    responseOf(
      { ...source, seen: { uid: '', seq: 0, href, etag }, resource: { kind: 'card', href, isDirectory } },
      names,
      onlyNames,
    );
  const parts = of({ href: ADDRESS, etag: TAG }).split(new RegExp(`(${ADDRESS}|${TAG})`));
  return ({ href, etag }) => {
    const values: Readonly<Record<string, string>> = {
      [ADDRESS]: text(encodeURIComponent(href)),
      [TAG]: text(etag),
    };
    return parts.map((part, i) => (i % 2 === 1 ? (values[part] ?? part) : part)).join('') as Xml;
  };
}

/** A resource with only a status: gone, or too many results. */
export function statusOf(path: string, status: string, more: readonly Xml[] = []): Xml {
  return element(dav('response'), [
    element(dav('href'), text(path)),
    element(dav('status'), text(`HTTP/1.1 ${status}`)),
    ...more,
  ]);
}

function propstat(properties: readonly Xml[], status: string): Xml {
  return element(dav('propstat'), [element(dav('prop'), properties), element(dav('status'), text(status))]);
}
