import { createSelector } from '@reduxjs/toolkit';

import { selectCardsByUid } from '@/book/state';
import { tagsOf } from '@/core/card';

/** A tag and how many cards have it. */
export interface TagCount {
  readonly tag: string;
  readonly count: number;
}

/** All tags in use, by name. */
export const selectTags = createSelector([selectCardsByUid], (byUid): TagCount[] => {
  const counts = new Map<string, number>();
  for (const card of byUid.values())
    for (const tag of tagsOf(card)) counts.set(tag, (counts.get(tag) ?? 0) + 1);
  const collator = new Intl.Collator(undefined, { numeric: true });
  return [...counts].map(([tag, count]) => ({ tag, count })).sort((a, b) => collator.compare(a.tag, b.tag));
});
