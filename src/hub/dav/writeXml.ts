/** Namespaces and their prefixes. */
const NAMESPACES: Readonly<Record<string, string>> = {
  'DAV:': 'd',
  'urn:ietf:params:xml:ns:carddav': 'c',
  'http://calendarserver.org/ns/': 's',
};

/** XML that is safe to put into an element. */
export type Xml = string & { readonly kind: 'xml' };

/** Characters that XML 1.0 doesn't allow (§2.2). */
const NOT_XML = /[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu;

/** A text within an element. */
export function text(value: string): Xml {
  return value
    .replace(NOT_XML, '')
    .replace(
      /[&<>\r]/g,
      (char) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '\r': '&#13;' })[char] ?? '',
    ) as Xml;
}

/** An element by its namespace and local name, as in {DAV:}prop. */
export function element(
  name: string,
  content: readonly Xml[] | Xml = [],
  attributes: Readonly<Record<string, string>> = {},
): Xml {
  const [, uri = '', local = ''] = /^\{(.*)\}(.+)$/.exec(name) ?? [];
  const prefix = NAMESPACES[uri];
  const tag = prefix === undefined ? local : `${prefix}:${local}`;
  const own = prefix === undefined && uri !== '' ? ` xmlns="${attribute(uri)}"` : '';
  const others = Object.entries(attributes).map(([key, value]) => ` ${key}="${attribute(value)}"`);
  const inner = typeof content === 'string' ? content : content.join('');
  const head = `${tag}${own}${others.join('')}`;
  return (inner === '' ? `<${head}/>` : `<${head}>${inner}</${tag}>`) as Xml;
}

/** A whole document. */
export function xmlDocument(name: string, content: readonly Xml[]): string {
  return `${HEAD}${element(name, content, NAMESPACE_ATTRIBUTES)}\n`;
}

/** A whole document whose content comes in pieces. */
export async function* xmlInPieces(
  name: string,
  content: AsyncIterable<readonly Xml[]>,
): AsyncGenerator<string, void, undefined> {
  const [begin = '', end = ''] = `${element(name, INSIDE, NAMESPACE_ATTRIBUTES)}\n`.split(INSIDE);
  // The first piece comes with the beginning: nothing is sent of an answer that fails at once.
  let before = HEAD + begin;
  for await (const piece of content) {
    yield before + piece.join('');
    before = '';
  }
  yield before + end;
}

const INSIDE = text('inside');
const HEAD = '<?xml version="1.0" encoding="utf-8"?>\n';
const NAMESPACE_ATTRIBUTES = Object.fromEntries(
  Object.entries(NAMESPACES).map(([uri, prefix]) => [`xmlns:${prefix}`, uri]),
);

function attribute(value: string): string {
  return text(value).replaceAll('"', '&quot;');
}
