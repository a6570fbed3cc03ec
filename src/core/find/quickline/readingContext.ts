import { formatPartialDate } from '@/core/base';
import { type Card, shownAs } from '@/core/card';
import { isList } from '@/core/lists';
import { texts as lineTexts } from '@/texts/find/line';

import { describeReading, describeValue } from '../line/describeReading';
import { parseIsoPartial } from '../line/isoPartial';
import type { LineValue, Reading } from '../line/reading';
import type { PlanContext, Whom } from './planQuick';

/** What planning a reading depends on beside the cards. */
export interface ReadingContext extends PlanContext {
  readonly getCard: (uid: string) => Card | undefined;
  /** How many people are on a list, those of lists on it too; undefined until it is known. */
  readonly countOn: (uid: string) => number | undefined;
  readonly newUid: () => string;
  readonly utcNow: () => string;
  /** A day such as 2026-11-24. */
  readonly today: string;
}

/** What a card is called; its uid where there is none. */
export function nameIn({ getCard }: ReadingContext): (uid: string) => string {
  return (uid) => {
    const card = getCard(uid);
    return card ? shownAs(card) : uid;
  };
}

/** What a reading would do, with its days as they are written here. */
export function describeHere(reading: Reading, context: ReadingContext): string {
  const values = reading.values.map((one) => withDay(one, /^(?:day|next)$/, context));
  return describeReading({ ...reading, values }, nameIn(context));
}

/** What is filled in, in words, days as they are written here. */
export function valuesInWords(values: readonly LineValue[], context: ReadingContext): string {
  const nameOf = nameIn(context);
  return values.map((one) => describeValue(withDay(one, /^birthday$/, context), nameOf)).join(' · ');
}

/** A value of some fields as a day is written here; any other as it is. */
function withDay(one: LineValue, fields: RegExp, { locale }: ReadingContext): LineValue {
  const date = fields.test(one.field) ? parseIsoPartial(one.value) : undefined;
  return date ? { ...one, value: formatPartialDate(date, locale) } : one;
}

/** Those of the cards that a reading is about which are still there. */
export function cardsOf({ uids }: Reading, { getCard }: ReadingContext): Card[] {
  return uids.flatMap((uid) => getCard(uid) ?? []);
}

/** Cards and lists, each as what it is. */
export function whom(cards: readonly Card[]): Whom {
  return cards.map((card) => ({ kind: isList(card) ? 'list' : 'card', uid: card.uid }));
}

/** "18 people" for a list or several; '' for one, and until it is known. */
export function howMany(cards: readonly Card[], { countOn }: Pick<ReadingContext, 'countOn'>): string {
  if (cards.length === 1 && !isList(cards[0] as Card)) return '';
  const counts = cards.map((card) => (isList(card) ? countOn(card.uid) : 1));
  return counts.includes(undefined) ? '' : lineTexts.people(counts.reduce<number>((a, b) => a + (b ?? 0), 0));
}

/** The first value of a field. */
export function valueOf(values: readonly LineValue[], field: string): string | undefined {
  return values.find((one) => one.field === field)?.value;
}
