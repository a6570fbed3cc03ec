import { sql, type SqlBool } from 'kysely';

import { encodeUtf8, foldText } from '@/core/base';
import type { Card } from '@/core/card';
import { type ContentLine, parseContentLine, readLogicalLines, unescapeText } from '@/core/formats';
import { breathe, breatheLast } from '@/hub/base';
import { type HubDb, toCard } from '@/hub/store';

import { etagOf, marksOf, servedCard } from '../passports/letThrough';
import type { Device } from '../passports/passports';
import { cardsWithShown, keepShown, shapeOf, type Shown } from '../passports/shown';
import type { SyncContext } from './context';
import { writeForDevice } from './deviceText';

/** Cards made ready at once: some ten milliseconds' work. */
const AT_ONCE = 25;
/** How much of a word is looked for, in characters: the rest is compared on the few cards that have that. */
const LONGEST = 200;

/** Of each group of words a card has at least one, folded. */
export type Words = readonly (readonly string[])[];

/** The lines of a card that queries look through, as a device gets it: without pictures, by which nobody looks for a person. */
export function queriedLines(card: Card): ContentLine[] {
  const { media: _, ...light } = card;
  return linesOf(light);
}

/** All lines of a card in vCard 4.0, which holds the most. */
export function linesOf(card: Card): ContentLine[] {
  const octets = encodeUtf8(writeForDevice(card, '4.0'));
  return [...readLogicalLines(octets)].flatMap((line) => parseContentLine(line) ?? []);
}

/**
 * The uids of cards that may have some words; all those that have them are among them, and others of which it isn't known yet.
 */
export async function uidsThatMay(
  { db, device }: Pick<SyncContext, 'db' | 'device'>,
  words: Words,
): Promise<string[]> {
  const uids: string[] = [];
  for (const start of PLACES) {
    const rows = await cardsWithShown(db, shapeOf(device))
      .select('cards.uid')
      .where('cards.place', '>=', start)
      .where('cards.place', '<', nextTo(start))
      .where(({ eb, or, and }) =>
        or([
          eb('cards.kind', '=', 'group'),
          eb('shown.asked', 'is', null),
          and(words.map((some) => or(some.map((word) => has(word))))),
        ]),
      )
      .execute();
    for (const { uid } of rows) uids.push(uid);
    // Others are answered between two.
    await breathe();
  }
  return uids;
}

/** How places begin (`CardsTable`): each is a part of the book. */
const PLACES = [...'0123456789abcdefg'];

function nextTo(sign: string): string {
  return String.fromCharCode(sign.charCodeAt(0) + 1);
}

/**
 * Makes ready what devices with a passport like this one will ask of cards, for those of which it hasn't been made.
 *
 * @param isOver - whether to stop
 * @returns how many were made
 */
export async function makeShown(db: HubDb, device: Device, isOver: () => boolean): Promise<number> {
  const shape = shapeOf(device);
  let count = 0;
  for (let last = ''; !isOver();) {
    const rows = await cardsWithShown(db, shape)
      .select(['cards.uid', 'cards.seq', 'cards.card', 'cards.place'])
      .where('shown.asked', 'is', null)
      .where('cards.kind', '<>', 'group')
      // Written in the order in which they are read.
      .where('cards.place', '>', last)
      .orderBy('cards.place')
      .limit(AT_ONCE)
      .execute();
    if (rows.length === 0) break;
    await keepShown(
      db,
      rows.map(({ uid, seq, place, card }) => ({ shape, place, uid, seq, ...madeOf(device, toCard(card)) })),
    );
    count += rows.length;
    last = rows.at(-1)?.place ?? '';
    // Whoever asks for something is answered first.
    await breatheLast();
  }
  return count;
}

function madeOf(device: Device, card: Card): Pick<Shown, 'etag' | 'marks' | 'asked' | 'text'> {
  const served = servedCard(card, device);
  // Pictures are cut down only where somebody gets them.
  const isCut = served.media !== undefined && device.photoSide !== null;
  return {
    etag: etagOf(served, device),
    marks: JSON.stringify(marksOf(card)),
    asked: askedOf(queriedLines(served)),
    text: isCut ? null : writeForDevice(served, '3.0'),
  };
}

/** Values as queries look for them, parameters too: all in one text, so that what isn't in it is on no card. */
function askedOf(lines: readonly ContentLine[]): string {
  const values = lines.flatMap(({ value, params }) => [
    unescapeText(value),
    ...Object.values(params).flatMap((all) => all ?? []),
  ]);
  return foldText(values.join('\n'));
}

/** Whether a word is in what has been made of a card. */
function has(word: string) {
  return sql<SqlBool>`${sql.ref('shown.asked')} like ${likeOf(word)} escape '\\'`;
}

/** A pattern for texts with a word in them. */
function likeOf(word: string): string {
  return `%${word.slice(0, LONGEST).replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;
}
