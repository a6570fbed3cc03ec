import type { Uid } from '../card';
import type { Talk } from '../talks';

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
