import type { Uid } from '@/core/card';
import type { Talk } from '@/core/talks';

import { joinTexts } from '../mergeTexts';

/** A talk without the people whose cards are private; undefined where it was with nobody else. */
export function talkForHub(talk: Talk, isPrivate: (uid: Uid) => boolean): Talk | undefined {
  const open = talk.with.filter((uid) => !isPrivate(uid));
  if (open.length === talk.with.length) return talk;
  return open.length === 0 ? undefined : { ...talk, with: open };
}

/**
 * A talk as the hub has it, with the people whom only this browser knows of.
 *
 * @param mine - the talk as it is here; undefined where it is new
 */
export function talkFromHub(mine: Talk | undefined, theirs: Talk, isPrivate: (uid: Uid) => boolean): Talk {
  const kept = (mine?.with ?? []).filter((uid) => isPrivate(uid) && !theirs.with.includes(uid));
  return kept.length === 0 ? theirs : { ...theirs, with: [...theirs.with, ...kept] };
}

/**
 * A talk that two browsers have changed without knowing of each other: the later one's kind, day and people stand, and of
 * what was said no line is lost.
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
