import { formatPartialDate, toPartialDate } from '@/core/base';
import { type Card, newCard, parseName, shownAs, withFlag } from '@/core/card';
import { isList, newList } from '@/core/lists';
import { withFollowUp, withMeeting } from '@/core/talks';
import { texts } from '@/texts/find/quickline';

import type { LineAct, LineValue, Reading } from '../line/reading';
import { fillCard } from './planFill';
import { type Offer, planAct } from './planQuick';
import { planTalk } from './planTalk';
import {
  cardsOf,
  describeHere,
  howMany,
  type ReadingContext,
  valueOf,
  valuesInWords,
  whom,
} from './readingContext';
import { shownValue } from './shownValue';
import type { Verb } from './verbs';

/** Acts that the card's own plans know. */
const OWN: ReadonlySet<LineAct> = new Set<LineAct & Verb>([
  ...(['call', 'write', 'message', 'way', 'copy', 'edit', 'open', 'talk'] as const),
]);

function isOwn(act: LineAct): act is LineAct & Verb {
  return OWN.has(act);
}

/** Where the places of a line are. */
const PATHS: Readonly<Record<string, string>> = {
  ...{
    tidy: '/tidy',
    lists: '/lists',
    today: '/today',
    map: '/book/map',
    settings: '/settings',
    backup: '/settings',
  },
  ...{
    import: '/import',
    export: '/settings',
    devices: '/devices',
    history: '/changes',
    table: '/book/table',
    new: '/book/new',
  },
  ...{ book: '/book', write: '/write' },
};

/** What a reading would do; undefined for a search, and where nothing can be done. */
export function planReading(reading: Reading, context: ReadingContext): Offer | undefined {
  switch (reading.need) {
    case 'do':
      return planDoing(reading, context);
    case 'fill':
      return planFilling(reading, context);
    case 'new':
      return planMaking(reading, context);
    case 'show':
      return planShowing(reading, context);
    case 'go': {
      const path = PATHS[reading.place ?? ''];
      return path === undefined
        ? undefined
        : { kind: 'go', uid: path, label: describeHere(reading, context), detail: '', path };
    }
    case 'find':
    case 'none':
      return undefined;
  }
}

function planDoing(reading: Reading, context: ReadingContext): Offer | undefined {
  const { act, values } = reading;
  const cards = cardsOf(reading, context);
  const [first] = cards;
  if (!first || act === undefined || cards.length !== reading.uids.length) return undefined;
  const label = describeHere(reading, context);
  const isOne = cards.length === 1 && !isList(first);
  const isPlain = values.length === 0 || (act === 'talk' && values.every(({ field }) => field === 'kind'));
  if (isOne && isOwn(act) && isPlain) return planAct(first, act, context);
  const to = whom(cards);
  const how = howMany(cards, context);
  switch (act) {
    case 'write':
    case 'message':
      return { kind: 'go', uid: first.uid, label, detail: how, path: '/write', to, ...subjectOf(values) };
    case 'print':
      return { kind: 'go', uid: first.uid, label, detail: how, path: '/write?by=letter', to };
    case 'pin':
    case 'unpin':
      return planChange(label, cards, (card) => withFlag(card, 'pinned', act === 'pin'), context);
    case 'archive':
    case 'restore':
      return planChange(label, cards, (card) => withFlag(card, 'archived', act === 'archive'), context);
    case 'private':
    case 'public':
      return planChange(label, cards, (card) => withFlag(card, 'private', act === 'private'), context);
    case 'remind': {
      const followUp = { day: valueOf(values, 'day') ?? context.today, text: valueOf(values, 'text') ?? '' };
      return planChange(label, cards, (card) => withFollowUp(card, context.newUid(), followUp), context);
    }
    case 'meet': {
      const id = context.newUid();
      const [time, place] = [valueOf(values, 'time'), valueOf(values, 'place')];
      const meeting = {
        ...{ day: valueOf(values, 'day') ?? context.today, title: '', minutes: 60 },
        ...(time === undefined ? {} : { time }),
        ...(place === undefined ? {} : { place }),
      };
      return planChange(label, cards, (card) => withMeeting(card, id, meeting), context);
    }
    case 'talk':
      return cards.some(isList)
        ? planOpening(first, label)
        : planTalk(reading, cards, { ...context, describe: (one) => describeHere(one, context) });
    case 'merge':
      return cards.length < 2 || cards.some(isList) ? planOpening(first, label) : planMerging(cards, label);
    case 'export': {
      const format = valueOf(values, 'as') ?? USUAL_FORMAT;
      return { kind: 'file', uid: first.uid, label, detail: how, whose: to, format };
    }
    case 'send': {
      const receiver = context.getCard(valueOf(values, 'to') ?? '');
      if (!receiver) return undefined;
      const detail = howMany([receiver], context);
      return {
        ...{ kind: 'go', uid: first.uid, label, detail, path: '/write' },
        ...{ to: whom([receiver]), attached: to },
      };
    }
    // Of several, or with more than the card's own plans know: not from here.
    case 'call':
    case 'way':
    case 'copy':
    case 'edit':
    case 'open':
      return planOpening(first, label);
  }
}

/** What a file is written as where nothing is said of it: it keeps everything, and everybody reads it. */
const USUAL_FORMAT = 'vcard4';

/** Cards are seen side by side before they become one. */
function planMerging(cards: readonly Card[], label: string): Offer {
  const uids = cards.map(({ uid }) => encodeURIComponent(uid));
  return {
    ...{ kind: 'go', uid: cards[0]?.uid ?? '', label, detail: texts.sideBySide },
    path: `/tidy/compare?cards=${uids.join(',')}`,
  };
}

/** What can't be done from the line is done where the card or the list is. */
function planOpening(card: Card, label: string): Offer {
  if (isList(card))
    return {
      kind: 'go',
      uid: card.uid,
      label,
      detail: texts.opensList,
      path: '',
    };
  return { kind: 'page', uid: card.uid, page: '', label, detail: texts.openNamedCard };
}

function subjectOf(values: readonly LineValue[]): { subject?: string } {
  const subject = valueOf(values, 'subject');
  return subject === undefined ? {} : { subject };
}

function planChange(
  label: string,
  cards: readonly Card[],
  change: (card: Card) => Card,
  context: ReadingContext,
): Offer | undefined {
  const [first] = cards;
  if (!first || cards.some(isList)) return undefined;
  const upserts = cards.map(change).filter((card, i) => card !== cards[i]);
  if (upserts.length === 0) return { kind: 'none', uid: first.uid, label, detail: texts.isAlreadySo };
  return { kind: 'change', uid: first.uid, label, detail: howMany(cards, context), upserts, from: cards };
}

/** What is filled in, with what stood there before where a card has one of it only. */
function planFilling(reading: Reading, context: ReadingContext): Offer | undefined {
  const cards = cardsOf(reading, context);
  const [first] = cards;
  if (!first || cards.some(isList)) return undefined;
  const isAdded = reading.values.some(({ field }) => !/^(?:-|rhythm|opener)/.test(field));
  const names = cards.map((card) => shownAs(card)).join(', ');
  const label = isAdded ? texts.addTo(names) : texts.changeNamed(names);
  const lists = new Map<string, { before: Card; after: Card }>();
  const getList = (uid: string) => lists.get(uid)?.after ?? context.getList(uid);
  const upserts: Card[] = [];
  for (const card of cards) {
    const filled = fillCard(card, reading.values, { country: context.country, getList });
    if (filled.card !== card) upserts.push(filled.card);
    for (const { before, after } of filled.lists)
      lists.set(after.uid, { before: lists.get(after.uid)?.before ?? before, after });
  }
  const changedLists = [...lists.values()];
  if (upserts.length === 0 && changedLists.length === 0) return planKnown(first, reading, label, context);
  return {
    ...{ kind: 'change', uid: first.uid, label, detail: detailOf(first, reading, context, cards) },
    upserts: [...upserts, ...changedLists.map(({ after }) => after)],
    from: [...cards, ...changedLists.map(({ before }) => before)],
  };
}

/** Nothing is new: it is there already, or another birthday, which is changed in the form. */
function planKnown(
  card: Card,
  { values }: Reading,
  label: string,
  { locale }: ReadingContext,
): Offer | undefined {
  const birthday = valueOf(values, 'birthday');
  const known = Object.values(card.anniversaries ?? {}).find(({ kind }) => kind === 'birth');
  if (birthday === undefined || !known)
    return { kind: 'none', uid: card.uid, label, detail: texts.isAlreadySo };
  const shown = formatPartialDate(toPartialDate(known.date), locale);
  return {
    kind: 'page',
    uid: card.uid,
    page: '/edit',
    label: texts.changeBirthdayOf(shownAs(card)),
    detail: texts.soFar(shown),
  };
}

function detailOf(card: Card, { values }: Reading, context: ReadingContext, cards: readonly Card[]): string {
  const opener = values.some(({ field }) => field === 'opener')
    ? card['cordialis.example:opener']
    : undefined;
  const said = valuesInWords(values, context);
  return [howMany(cards, context), said, opener === undefined ? '' : texts.soFar(opener)]
    .filter(Boolean)
    .join(' · ');
}

function planMaking(reading: Reading, context: ReadingContext): Offer | undefined {
  const [first, ...rest] = reading.values;
  if (!first) return undefined;
  const uid = context.newUid();
  const label = describeHere(reading, context);
  if (first.field === 'list')
    return {
      kind: 'new',
      uid,
      label,
      detail: '',
      upserts: [newList(uid, first.value, context.utcNow())],
      from: [],
    };
  const blank = newCard(uid, context.utcNow());
  if (first.field === 'organisation')
    return {
      kind: 'new',
      uid,
      label,
      detail: '',
      upserts: [{ ...blank, kind: 'org', name: { full: first.value } }],
      from: [],
    };
  const name = parseName(first.value);
  if (!name) return undefined;
  const filled = fillCard({ ...blank, kind: 'individual', name }, rest, context);
  const lists = filled.lists.map(({ after }) => after);
  return {
    ...{ kind: 'new', uid, label: texts.newCard(first.value), detail: valuesInWords(rest, context) },
    upserts: [filled.card, ...lists],
    from: filled.lists.map(({ before }) => before),
  };
}

/** One value, to be seen and copied. */
function planShowing(reading: Reading, context: ReadingContext): Offer | undefined {
  const [card] = cardsOf(reading, context);
  const named = reading.values[0]?.field ?? '';
  if (!card) return undefined;
  const label = describeHere(reading, context);
  if (named === 'lastTalk' || named === 'lists')
    return { kind: 'page', uid: card.uid, page: '', label, detail: texts.openNamedCard };
  const text = shownValue(card, named, context);
  if (text === undefined) return { kind: 'none', uid: card.uid, label, detail: texts.isNotOnCard };
  return { kind: 'copy', uid: card.uid, label, detail: text.replaceAll('\n', ', '), text };
}
