import type { Uid } from '@/core/card';

/** How two lists are combined: everybody on either, those on both, those on the first only. */
export type Combination = 'either' | 'both' | 'firstOnly';

/** The members of the combined list, each once, those of the first list first. */
export function combine(first: readonly Uid[], second: readonly Uid[], how: Combination): Uid[] {
  const inSecond = new Set(second);
  switch (how) {
    case 'either':
      return [...new Set([...first, ...second])];
    case 'both':
      return [...new Set(first)].filter((uid) => inSecond.has(uid));
    case 'firstOnly':
      return [...new Set(first)].filter((uid) => !inSecond.has(uid));
  }
}
