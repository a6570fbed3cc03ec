import type { Talk } from '../talks';

/**
 * A talk that two browsers have changed without knowing of each other: the later one's kind, day and people stand, and of
 * what was said nothing is lost.
 *
 * @param mine - the one that came first
 * @param theirs - the one that came after it
 */
export function joinTalks(mine: Talk, theirs: Talk): Talk {
  const files = [...(mine.files ?? []), ...(theirs.files ?? [])];
  const known = new Set<string>();
  const all = files.filter((file) => {
    const key = JSON.stringify(file);
    return !known.has(key) && known.add(key);
  });
  return {
    ...theirs,
    with: [...new Set([...theirs.with, ...mine.with])],
    said: joinTexts(mine.said, theirs.said),
    ...(all.length === 0 ? {} : { files: all }),
  };
}

function joinTexts(mine: string, theirs: string): string {
  if (theirs.includes(mine)) return theirs;
  return mine.includes(theirs) ? mine : `${mine}\n\n${theirs}`;
}
