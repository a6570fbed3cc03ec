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
  const name = people.map((uid) => firstName(book.shown(uid))).find((one) => book.named([one]).length === 1);
  const list = book.listsLike('').find(({ isByHand }) => isByHand);
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
