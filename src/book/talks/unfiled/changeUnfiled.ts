import { changeBook } from '@/book/commit';
import { added, type Step } from '@/book/history';
import {
  type AppThunk,
  selectUnfiledByAddress,
  type Services,
  unfiledArrived,
  unfiledChanged,
} from '@/book/state';
import { KEYS, keysUnder, parseJson } from '@/book/store';
import { inBatches } from '@/core/base';
import { type Card, newCard, normalizeAddress, parseName, type Uid } from '@/core/card';
import { mergeUnfiled, type Unfiled, unfiledSchema } from '@/core/talks';
import { texts } from '@/texts/talks/unfiled';

/** Records read per batch, before yielding to the page. */
const PIECE = 500;

/** Whose address one is, by normalized address. */
export function addressBook(cards: readonly Card[]): Map<string, Uid[]> {
  const book = new Map<string, Uid[]>();
  for (const { uid, kind, emails } of cards) {
    if (kind === 'group') continue;
    for (const { address } of Object.values(emails ?? {})) {
      const key = normalizeAddress(address);
      const uids = book.get(key);
      if (!uids) book.set(key, [uid]);
      else if (!uids.includes(uid)) uids.push(uid);
    }
  }
  return book;
}

async function readStored(services: Services, keys: readonly string[]): Promise<Unfiled[]> {
  const found: Unfiled[] = [];
  for (const piece of inBatches(keys, PIECE)) {
    const stored = await services.storage.getMany([...piece]);
    for (const text of Object.values(stored)) {
      const one = unfiledSchema.safeParse(parseJson(text)).data;
      if (one) found.push(one);
    }
    await services.yieldToPage();
  }
  return found;
}

/** Reads all of them, where that hasn't been done yet. */
export function readUnfiled(): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    if (selectUnfiledByAddress(getState())) return;
    await services.writer.flush();
    const keys = keysUnder(await services.storage.getAllKeys(), KEYS.unfiled);
    const all = await readStored(services, keys);
    dispatch(unfiledArrived(Object.fromEntries(all.map((one) => [one.address, one]))));
  };
}

/** Puts what an import has found beside what was known. */
export function putUnfiled(more: readonly Unfiled[]): AppThunk<Promise<void>> {
  return async (dispatch, _, services) => {
    await services.writer.flush();
    const stored = await readStored(
      services,
      more.map(({ address }) => `${KEYS.unfiled}${address}`),
    );
    const known = new Map(stored.map((one) => [one.address, one]));
    dispatch(keep(more.map((one) => mergeUnfiled(known.get(one.address), one))));
  };
}

function keep(all: readonly Unfiled[]): AppThunk {
  return (dispatch, _, services) => {
    for (const one of all) services.writer.put(`${KEYS.unfiled}${one.address}`, JSON.stringify(one));
    dispatch(unfiledChanged(all));
  };
}

/** Dismisses addresses, or offers them again. */
export function dismissUnfiled(all: readonly Unfiled[], isIgnored: boolean): AppThunk {
  return keep(all.map(({ isIgnored: _, ...one }) => (isIgnored ? { ...one, isIgnored } : one)));
}

/** Makes a card of each address, named as the headers named it, with the talks that are known. */
export function addUnfiled(all: readonly Unfiled[]): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, _, { newUid, utcNow }) => {
    const cards = all.map((one) => cardOf(one, newUid(), utcNow()));
    const talks = all.flatMap((one, i) =>
      one.talks.map((talk) => ({ after: { ...talk, with: [cards[i]?.uid ?? ''] } })),
    );
    const [first] = all;
    const label =
      all.length === 1 && first ? texts.added(first.name || first.address) : texts.addedCards(all.length);
    return dispatch(changeBook({ cause: 'add', label, edits: cards.map(added), talks }));
  };
}

function cardOf({ name, address }: Unfiled, uid: Uid, now: string): Card {
  const parsed = name === '' || name.includes('@') ? undefined : parseName(turned(name));
  return {
    ...newCard(uid, now),
    kind: 'individual',
    ...(parsed ? { name: parsed } : {}),
    emails: { e1: { address } },
  };
}

/** "Lowther, Ada", as many mail programs write names, the way it is said. */
function turned(name: string): string {
  const [surname = '', given = '', ...more] = name.split(',').map((part) => part.trim());
  return given !== '' && more.length === 0 ? `${given} ${surname}` : name;
}
