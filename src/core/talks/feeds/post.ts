import { z } from 'zod';

import { type Card, isPrivate } from '@/core/card';

/** The most posts kept of a feed: nobody reads an archive on a card. */
export const MAX_POSTS = 50;

/** Code points of a summary; the rest is read where the post is. */
export const MAX_SUMMARY = 280;

/** Something that somebody has published. */
export const postSchema = z.object({
  /** The feed's own name for it. */
  id: z.string().min(1),
  title: z.string(),
  /** Where it can be read; none where the feed says none. */
  uri: z.string().exactOptional(),
  /** UTCDateTime. */
  at: z.iso.datetime(),
  /** Its beginning as plain text; '' for none. */
  summary: z.string(),
});

/** Something that somebody has published. */
export type Post = z.infer<typeof postSchema>;

/** What a feed says. */
export const feedSchema = z.object({ title: z.string(), posts: z.array(postSchema) });

/** What a feed says, the latest post first. */
export type Feed = z.infer<typeof feedSchema>;

/** Addresses of the web on a card where a feed may be; none of a private card or entry, as the hub would see them. */
export function feedLinks(card: Card): string[] {
  if (isPrivate({ ...card })) return [];
  const uris = Object.values(card.links ?? {}).flatMap((link) => (isPrivate(link) ? [] : [link.uri.trim()]));
  return [...new Set(uris)].filter((uri) => /^https?:\/\/[^/\s]+/i.test(uri));
}
