import type { Uid } from '../schema/types';

/** The scheme under which a note links to another card. */
export const CARD_SCHEME = 'card:';

/** A link to a card, as it is written into a note. Brackets in the name would end it. */
export function linkToCard(uid: Uid, name: string): string {
  return `[${name.replace(/[[\]]/g, '')}]${targetOf(uid)}`;
}

/** A note whose links to some cards lead to what these have become; the note itself where it has none of them. */
export function relinkNote(note: string, becomes: ReadonlyMap<Uid, Uid>): string {
  if (!note.includes(`](${CARD_SCHEME}`)) return note;
  let relinked = note;
  for (const [from, to] of becomes) relinked = relinked.replaceAll(`]${targetOf(from)}`, `]${targetOf(to)}`);
  return relinked;
}

function targetOf(uid: Uid): string {
  // encodeURIComponent leaves round brackets and stars as they are, which mean something here.
  const target = encodeURIComponent(uid).replace(/[()*]/g, (char) => `%${char.charCodeAt(0).toString(16)}`);
  return `(${CARD_SCHEME}${target})`;
}

/** The uid that a link names; undefined where its escapes are broken. */
export function decodeUid(text: string): Uid | undefined {
  try {
    return decodeURIComponent(text);
  } catch {
    return undefined;
  }
}
