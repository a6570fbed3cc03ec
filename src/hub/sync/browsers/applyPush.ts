import { isSameJson } from '@/core/base';
import { type Card, newCard, parseCard, shownAs } from '@/core/card';
import { mergeThree, type Push } from '@/core/sync';
import {
  findCard,
  type HubDb,
  inTransaction,
  noteToSettle,
  putCard,
  putPicturesAside,
  SEED_SAYS,
  toCard,
} from '@/hub/store';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/browsers';

import type { Browser } from './pairing';

/** What applying a push needs. */
export interface PushContext {
  readonly db: HubDb;
  readonly browser: Browser;
  /** UTCDateTime. */
  readonly now: string;
  /** ISO 3166-1 alpha-2, for numbers without a country code. */
  readonly country: string;
}

/**
 * Applies a browser's changes, all or none. Each card is merged with what has changed here since the browser's
 * cursor; an edit never loses to a deletion, on either side.
 *
 * @returns what could not be taken in, by uid, in words
 */
export function applyPush(context: PushContext, { since, changes }: Push): Promise<Record<string, string>> {
  return inTransaction(context.db, async (store) => {
    const refused: Record<string, string> = {};
    for (const { uid, card } of changes) {
      const said = await takeOne({ ...context, db: store }, since, { uid, card });
      if (said !== undefined) refused[uid] = said;
    }
    return refused;
  });
}

async function takeOne(
  context: PushContext,
  since: number,
  { uid, card }: { readonly uid: string; readonly card?: unknown },
): Promise<string | undefined> {
  if (card === null) return takeDeletion(context, since, uid);
  const parsed = parseCard(card);
  if (parsed.kind === 'fault') return parsed.message;
  const theirs = await putPicturesAside(context.db, parsed.card);
  if (theirs.uid !== uid) return shared.cardHasAnotherUid;
  if (theirs['cordialis.example:private'] === true) return texts.privateCardStaysInItsBrowser;
  const { db, browser, now, country } = context;
  const current = await findCard(db, uid);
  const base = (await baseOf(context, since, uid)) ?? (await seedOf(db, uid));
  const empty: Card = { ...newCard(uid, theirs.created ?? now), kind: theirs.kind ?? 'individual' };
  const { card: merged, conflicts } = current
    ? mergeThree(base ?? empty, current, theirs, { country, isWritten: true })
    : { card: theirs, conflicts: [] };
  const after: Card = { ...merged, uid, updated: theirs.updated ?? now };
  const isSame = isSameJson(after, theirs);
  let seq: number | undefined;
  if (!current || !isSameJson(withoutStamp(after), withoutStamp(current)))
    seq = await putCard(db, uid, after, {
      ...{ at: now, device: null, browser: browser.id },
      says: current ? texts.changed(shownAs(after)) : texts.added(shownAs(after)),
    });
  await noteToSettle(db, { uid, conflicts, by: browser.name, at: now });
  await noteSent(context, {
    uid,
    // Where the book has it as it is, it isn't kept twice.
    card: isSame && seq !== undefined ? '' : JSON.stringify(theirs),
    seq: seq ?? (await seqOfCard(db, uid)),
    isSame,
  });
  return undefined;
}

async function takeDeletion(context: PushContext, since: number, uid: string): Promise<undefined> {
  const { db, browser, now } = context;
  const current = await findCard(db, uid);
  if (!current) return;
  const base = await baseOf(context, since, uid);
  const isAsKnown = base !== undefined && isSameJson(withoutStamp(base), withoutStamp(current));
  const says = isAsKnown ? texts.deleted(shownAs(current)) : shared.keptWhichHadBeen(shownAs(current));
  // A card that is kept is logged as changed, so that the browser gets it back.
  const seq = await putCard(db, uid, isAsKnown ? undefined : current, {
    ...{ at: now, device: null, browser: browser.id, says },
  });
  await noteSent(context, { uid, card: null, seq, isSame: isAsKnown });
}

/**
 * The card as the browser knew it: what it sent last, where that came in after the change up to which it says to know
 * everything (its answer got lost, or it is sending in pieces); else the card as it was with that change.
 */
async function baseOf({ db, browser }: PushContext, since: number, uid: string): Promise<Card | undefined> {
  const sent = await db
    .selectFrom('sent')
    .leftJoin('changes', 'changes.seq', 'sent.seq')
    .select(['sent.card', 'sent.seq', 'changes.after'])
    .where('sent.browser', '=', browser.id)
    .where('sent.uid', '=', uid)
    .executeTakeFirst();
  if (sent && sent.seq > since) return cardIn(sent.card === '' ? sent.after : sent.card);
  if (since === 0) return undefined;
  const row = await db
    .selectFrom('changes')
    .select('after')
    .where('uid', '=', uid)
    .where('seq', '<=', since)
    .orderBy('seq', 'desc')
    .limit(1)
    .executeTakeFirst();
  return cardIn(row?.after);
}

/** A version of a card; undefined where there was none, or it isn't kept any more. */
function cardIn(text: string | null | undefined): Card | undefined {
  return text == null || text === '' ? undefined : toCard(text);
}

/** A card that the demo has put here is one that the browser's own demo began with as well. */
async function seedOf(db: HubDb, uid: string): Promise<Card | undefined> {
  const row = await db
    .selectFrom('changes')
    .select(['says', 'after'])
    .where('uid', '=', uid)
    .orderBy('seq')
    .limit(1)
    .executeTakeFirst();
  return row?.says === SEED_SAYS ? cardIn(row.after) : undefined;
}

async function seqOfCard(db: HubDb, uid: string): Promise<number> {
  const row = await db.selectFrom('cards').select('seq').where('uid', '=', uid).executeTakeFirst();
  return row?.seq ?? 0;
}

interface Sent {
  readonly uid: string;
  readonly card: string | null;
  readonly seq: number;
  readonly isSame: boolean;
}

async function noteSent({ db, browser }: PushContext, { uid, card, seq, isSame }: Sent): Promise<void> {
  const values = { card, seq, isSame: isSame ? 1 : 0 };
  await db
    .insertInto('sent')
    .values({ browser: browser.id, uid, ...values })
    .onConflict((conflict) => conflict.columns(['browser', 'uid']).doUpdateSet(values))
    .execute();
}

/** A new date alone is no change. */
function withoutStamp({ updated: _, ...card }: Card): object {
  return card;
}
