import { type SaxesAttributeNS, SaxesParser, type SaxesTagNS } from 'saxes';

import { texts } from '@/texts/base/base';

/** An element of a request's body. */
export interface XmlElement {
  /** Namespace and local name, as in {DAV:}prop. */
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: XmlElement[];
  text: string;
}

/** Depth of nested elements: no request needs more, and a deeper one would only use up the stack. */
const MAX_DEPTH = 32;
/** Elements of a body: a multiget of a large book has one for each card. */
const MAX_ELEMENTS = 60_000;

/**
 * Reads the body of a request (RFC 4918 §8.2). A document type is refused, and with it entities, which could name files
 * or grow without end.
 *
 * @throws SyntaxError for what is no well-formed document, or is too deep or too large
 */
export function readXml(text: string): XmlElement {
  const parser = new SaxesParser({ xmlns: true });
  const open: XmlElement[] = [];
  let root: XmlElement | undefined;
  let count = 0;
  parser.on('doctype', () => {
    throw new SyntaxError(texts.documentTypeIsNotTaken);
  });
  parser.on('error', (error) => {
    throw new SyntaxError(error.message);
  });
  parser.on('opentag', ({ uri, local, attributes }: SaxesTagNS) => {
    count += 1;
    if (open.length >= MAX_DEPTH || count > MAX_ELEMENTS) throw new SyntaxError(texts.tooDeepOrTooLarge);
    const element: XmlElement = {
      ...{ name: `{${uri}}${local}`, children: [], text: '' },
      attributes: Object.fromEntries(
        Object.values(attributes as Record<string, SaxesAttributeNS>).map((one) => [one.local, one.value]),
      ),
    };
    if (open.length === 0) root = element;
    open.at(-1)?.children.push(element);
    open.push(element);
  });
  parser.on('closetag', () => void open.pop());
  for (const kind of ['text', 'cdata'] as const)
    parser.on(kind, (piece: string) => {
      const element = open.at(-1);
      if (element) element.text += piece;
    });
  parser.write(text).close();
  if (!root) throw new SyntaxError(texts.thereIsNoElement);
  return root;
}

/** The first child of a name. */
export function childOf(element: XmlElement | undefined, name: string): XmlElement | undefined {
  return element?.children.find((child) => child.name === name);
}

/** All children of a name. */
export function childrenOf(element: XmlElement | undefined, name: string): XmlElement[] {
  return element?.children.filter((child) => child.name === name) ?? [];
}
