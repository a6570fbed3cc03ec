import { addDays } from '@/core/base';

import { Dice } from './random';

/** What people of the demo write about on their pages. */
const POSTS = [
  ['New strings for the winter', 'Three sets tried in a cold church, with what the tuner had to say.'],
  ['Programme for the harbour concert', 'A quintet, two songs and something nobody has played since 1911.'],
  ['Looking for a page turner', 'Saturday evening; good eyes and warm hands are all it takes.'],
  ['What the tide does to a piano', 'Salt, damp and a night of storm: notes from the quay.'],
  ['Rehearsals are open again', 'From Monday the doors stand open until nine.'],
  ['A hall for sixty', 'Thoughts on small rooms, after a week in one.'],
] as const;

const SEED = 911;
const COUNT = 4;

/** The feed of somebody's page in the demo, as Atom (RFC 4287). @param host - whose page @param today - 2026-11-24 */
export function generateFeed(host: string, today: string): string {
  const dice = new Dice(SEED + [...host].reduce((sum, char) => sum + char.charCodeAt(0), 0));
  const entries = Array.from({ length: COUNT }, (_, i) => {
    const [title, summary] = dice.pick(POSTS);
    const at = `${addDays(today, -(3 + i * 17 + dice.below(9)))}T09:00:00Z`;
    return [
      `<entry><id>https://${host}/posts/${i}</id><title>${title}</title><updated>${at}</updated>`,
      `<link href="https://${host}/posts/${i}"/><summary>${summary}</summary></entry>`,
    ].join('');
  });
  return [
    '<?xml version="1.0" encoding="utf-8"?>',
    `<feed xmlns="http://www.w3.org/2005/Atom"><title>${host}</title><id>https://${host}/</id>`,
    `<updated>${today}T00:00:00Z</updated>`,
    ...entries,
    '</feed>',
  ].join('\n');
}
