import { childOf, childrenOf, type XmlElement } from '@/core/base';

import { plainWords } from './plainWords';
import type { Feed } from './post';
import { postFrom } from './postFrom';

const ATOM = '{http://www.w3.org/2005/Atom}';

/** Whether a document is an Atom feed (RFC 4287 §4.1.1). */
export function isAtom(root: XmlElement): boolean {
  return root.name === `${ATOM}feed`;
}

/** Reads an Atom feed (RFC 4287). An entry is dated by its publication, else by its last change. */
export function readAtom(root: XmlElement, base: string): Feed {
  const posts = childrenOf(root, `${ATOM}entry`).flatMap((entry) =>
    postFrom(
      {
        id: childOf(entry, `${ATOM}id`)?.text,
        title: wordsOf(childOf(entry, `${ATOM}title`)),
        uri: linkOf(entry),
        at: (childOf(entry, `${ATOM}published`) ?? childOf(entry, `${ATOM}updated`))?.text,
        summary: wordsOf(childOf(entry, `${ATOM}summary`) ?? childOf(entry, `${ATOM}content`)),
      },
      base,
    ),
  );
  return { title: wordsOf(childOf(root, `${ATOM}title`)), posts };
}

/** The page of an entry: its alternate, which a link without a relation is (RFC 4287 §4.2.7.2). */
function linkOf(entry: XmlElement): string | undefined {
  const links = childrenOf(entry, `${ATOM}link`);
  return links.find(({ attributes }) => (attributes['rel'] ?? 'alternate') === 'alternate')?.attributes[
    'href'
  ];
}

/** A text construct (RFC 4287 §3.1): plain, escaped HTML, or XHTML elements. */
function wordsOf(element: XmlElement | undefined): string {
  if (!element) return '';
  if (element.attributes['type'] === 'html') return plainWords(element.text);
  return allText(element);
}

function allText({ text, children }: XmlElement): string {
  return [text, ...children.map(allText)].join(' ');
}
