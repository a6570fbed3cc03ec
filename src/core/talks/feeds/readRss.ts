import { childOf, childrenOf, type XmlElement } from '@/core/base';

import { plainWords } from './plainWords';
import type { Feed } from './post';
import { postFrom } from './postFrom';

/** Whether a document is a feed of RSS 2.0, which much of the web still has beside Atom or instead of it. */
export function isRss(root: XmlElement): boolean {
  return root.name === '{}rss';
}

/** Reads a feed of RSS 2.0 (the specification of the RSS Advisory Board). */
export function readRss(root: XmlElement, base: string): Feed {
  const channel = childOf(root, '{}channel');
  const posts = childrenOf(channel, '{}item').flatMap((item) => {
    const textOf = (name: string) => childOf(item, `{}${name}`)?.text;
    return postFrom(
      {
        ...{ id: textOf('guid'), uri: textOf('link'), at: textOf('pubDate') },
        title: plainWords(textOf('title') ?? ''),
        summary: plainWords(textOf('description') ?? ''),
      },
      base,
    );
  });
  return { title: plainWords(childOf(channel, '{}title')?.text ?? ''), posts };
}
