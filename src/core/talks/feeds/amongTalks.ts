import type { Talk } from '../talk';
import type { Post } from './post';

/** A line of what passed between somebody and the user, or what they published. */
export type TalkOrPost =
  | { readonly kind: 'talk'; readonly talk: Talk }
  | { readonly kind: 'post'; readonly post: Post; readonly day: string };

/**
 * Talks and posts together, the latest first; of the same day, talks stand first.
 *
 * @param talks - the latest first
 * @param isWhole - whether there are no talks further back; else posts older than the last of these talks wait for them
 * @param dayOf - the day of a moment where the user is
 */
export function amongTalks(
  talks: readonly Talk[],
  posts: readonly Post[],
  isWhole: boolean,
  dayOf: (at: string) => string,
): TalkOrPost[] {
  const oldest = talks.at(-1)?.day ?? '';
  const dated = posts
    .map((post) => ({ kind: 'post' as const, post, day: dayOf(post.at) }))
    .filter(({ day }) => isWhole || day >= oldest)
    .sort((a, b) => (a.post.at < b.post.at ? 1 : -1));
  const lines: TalkOrPost[] = [];
  for (const talk of talks) {
    while (dated[0] && dated[0].day > talk.day) lines.push(...dated.splice(0, 1));
    lines.push({ kind: 'talk', talk });
  }
  return [...lines, ...dated];
}
