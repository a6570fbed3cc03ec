import type { Uid } from '@/core/card';

import type { LineContext } from './readActs';
import { LEAST_SCORE } from './reading';
import { understandLine } from './understandLine';

/** As many are shown. */
const MOST = 3;

/**
 * Lines that make sense on a book: with somebody of it, one of its lists, one of its places. None for an empty book.
 *
 * @param people - who comes in them, the likeliest first
 */
export function examplesFor(context: LineContext, people: readonly Uid[]): string[] {
  const { book } = context;
  const isAlone = (uid: Uid) => book.named([firstName(book.shown(uid))]).length === 1;
  const person = people.find(isAlone);
  const name = person === undefined ? undefined : firstName(book.shown(person));
  const lists = book.listsLike('').filter(({ isByHand }) => isByHand);
  // One on which that person isn't yet, if there is any.
  const list = lists.find(({ uid }) => person !== undefined && !book.hasMember(uid, person)) ?? lists[0];
  const [place] = book.valuesLike('', 'town');
  const lines = [
    ...(name !== undefined && list ? [`put ${name} on ${book.shown(list.uid)}`] : []),
    ...(place === undefined ? [] : [`in ${place}, not talked to for a year`]),
    ...(name === undefined ? [] : [`remind me to call ${name} on friday`, `${name} number`]),
    ...(list ? [`write to ${book.shown(list.uid)}`] : []),
  ];
  return lines.filter((line) => (understandLine(line, context)[0]?.score ?? 0) >= LEAST_SCORE).slice(0, MOST);
}

const firstName = (shown: string) => shown.split(' ')[0] ?? shown;
