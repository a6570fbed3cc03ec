import { z } from 'zod';

import { talkSchema } from './talk';

/** The most recent talks kept for an address without a card: enough to start with once it has one. */
const KEPT_TALKS = 20;

/** An address that was written to and has no card. */
export const unfiledSchema = z.object({
  /** Normalized. */
  address: z.string(),
  /** The fullest name that a header gave it; '' for none. */
  name: z.string(),
  /** Messages written to it. */
  count: z.number().int(),
  /** The day of the last one, ISO 8601. */
  last: z.iso.date(),
  /** The latest talks, with nobody yet. */
  talks: z.array(talkSchema.extend({ with: z.array(z.string()) })),
  isIgnored: z.boolean().exactOptional(),
});

/** An address that was written to and has no card. */
export type Unfiled = z.infer<typeof unfiledSchema>;

/**
 * What is known of an address together with what another import brings; a message that both have counts once as far as
 * it is still kept.
 */
export function mergeUnfiled(before: Unfiled | undefined, more: Unfiled): Unfiled {
  if (!before) return { ...more, talks: latest(more.talks) };
  const known = new Set(before.talks.map(({ id }) => id));
  const fresh = more.talks.filter(({ id }) => !known.has(id));
  const twice = more.talks.length - fresh.length;
  return {
    ...before,
    name: more.name.length > before.name.length ? more.name : before.name,
    count: before.count + Math.max(0, more.count - twice),
    last: more.last > before.last ? more.last : before.last,
    talks: latest([...before.talks, ...fresh]),
  };
}

function latest(talks: Unfiled['talks']): Unfiled['talks'] {
  return [...talks].sort((a, b) => (a.day < b.day ? 1 : -1)).slice(0, KEPT_TALKS);
}
