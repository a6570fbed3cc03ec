import { z } from 'zod';

import { plainWords } from './plainWords';
import type { Feed } from './post';
import { postFrom } from './postFrom';

/** What of JSON Feed 1.1 is used; an item that is none doesn't spoil the others. */
const jsonFeedSchema = z.looseObject({
  version: z.string().startsWith('https://jsonfeed.org/version/'),
  title: z.string().catch(''),
  items: z.array(z.unknown()),
});

const text = z.string().optional().catch(undefined);
const itemSchema = z.looseObject({
  // Version 1.1: an id that is a number is to be read as a string.
  id: z
    .union([z.string(), z.number().transform(String)])
    .optional()
    .catch(undefined),
  ...{ url: text, title: text, summary: text, content_text: text, content_html: text },
  ...{ date_published: text, date_modified: text },
});

/** Reads a JSON Feed (versions 1 and 1.1). @returns undefined for JSON that is none */
export function readJsonFeed(value: unknown, base: string): Feed | undefined {
  const feed = jsonFeedSchema.safeParse(value).data;
  if (!feed) return undefined;
  const posts = feed.items.flatMap((item) => {
    const one = itemSchema.safeParse(item).data;
    if (!one) return [];
    const summary = one.summary ?? one.content_text ?? plainWords(one.content_html ?? '');
    const at = one.date_published ?? one.date_modified;
    return postFrom({ id: one.id, title: one.title, uri: one.url, at, summary }, base);
  });
  return { title: feed.title, posts };
}
