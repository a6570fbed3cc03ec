import { createHash } from 'node:crypto';

import { inBatches } from '@/core/base';
import type { Card } from '@/core/card';

import type { HubDb } from './tables';

/** How a card in the store says which picture it has; its hash comes after it. */
export const PICTURE = 'cordialis-picture:';
/** What is shorter than this stays on the card, in characters. */
const SHORT = 400;
/** Rows per statement. */
const AT_ONCE = 100;

/**
 * A card with its pictures put aside: the store has each once, however many versions of the card there are. Everything the hub does with
 * cards is done with such ones, which are compared as well as others.
 */
export async function putPicturesAside(store: HubDb, card: Card): Promise<Card> {
  if (!card.media) return card;
  const media: NonNullable<Card['media']> = {};
  const aside = new Map<string, string>();
  for (const [id, entry] of Object.entries(card.media)) {
    const { uri } = entry;
    if (uri === undefined || !uri.startsWith('data:') || uri.length < SHORT) {
      media[id] = entry;
      continue;
    }
    const hash = createHash('sha256').update(uri).digest('hex');
    aside.set(hash, uri);
    media[id] = { ...entry, uri: PICTURE + hash };
  }
  if (aside.size === 0) return card;
  const at = new Date().toISOString();
  for (const [id, uri] of aside)
    await store
      .insertInto('pictures')
      .values({ id, uri, at })
      // Whoever clears away what nobody has any more sees that somebody has it again.
      .onConflict((conflict) => conflict.column('id').doUpdateSet({ at }))
      .execute();
  return { ...card, media };
}

/** Cards with the pictures that were put aside. @param db - the store, or a transaction on it */
export async function withPictures(db: HubDb, cards: readonly Card[]): Promise<Card[]> {
  const ids = new Set(
    cards.flatMap(({ media = {} }) => Object.values(media).flatMap(({ uri }) => idIn(uri) ?? [])),
  );
  if (ids.size === 0) return [...cards];
  const uris = await picturesOf(db, [...ids]);
  return cards.map((card) => {
    if (!card.media) return card;
    const media = Object.entries(card.media).map(([id, entry]) => {
      const uri = uris.get(idIn(entry.uri) ?? '');
      return [id, uri === undefined ? entry : { ...entry, uri }] as const;
    });
    return { ...card, media: Object.fromEntries(media) };
  });
}

/** Any value as JSON with the pictures that were put aside. */
export async function withPicturesIn(db: HubDb, text: string): Promise<string> {
  const ids = picturesIn(text);
  if (ids.length === 0) return text;
  const uris = await picturesOf(db, ids);
  return text.replace(AS_JSON, (whole, id: string) => {
    const uri = uris.get(id);
    return uri === undefined ? whole : JSON.stringify(uri);
  });
}

const AS_JSON = new RegExp(`"${PICTURE}([0-9a-f]{64})"`, 'g');

/** The pictures that a text of JSON names. */
export function picturesIn(text: string): string[] {
  return text.includes(PICTURE) ? [...text.matchAll(AS_JSON)].flatMap(([, id]) => id ?? []) : [];
}

function idIn(uri: string | undefined): string | undefined {
  return uri?.startsWith(PICTURE) === true ? uri.slice(PICTURE.length) : undefined;
}

async function picturesOf(db: HubDb, ids: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const uris = new Map<string, string>();
  for (const some of inBatches(ids, AT_ONCE))
    for (const { id, uri } of await db
      .selectFrom('pictures')
      .select(['id', 'uri'])
      .where('id', 'in', [...some])
      .execute())
      uris.set(id, uri);
  return uris;
}
