import { formatPartialDate } from '@/core/base';
import { type Card, newCard, parseName, reachOf, shownAs, withFlag } from '@/core/card';
import { withMembers } from '@/core/lists';
import type { Talk } from '@/core/talks';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/quickline';

import type { Fill, Quick } from './parseQuick';
import { fillOne, withBirthday } from './planFill';
import { shownValue } from './shownValue';
import type { Verb, Wanted } from './verbs';

/** Cards and lists that something is done with; of a list it is done with everybody on it. */
export type Whom = readonly { readonly kind: 'card' | 'list'; readonly uid: string }[];

/** What Enter would do, said before it is done. */
export type Offer = {
  readonly uid: string;
  readonly label: string;
  readonly detail: string;
  /** What was asked for, where it was an act. */
  readonly verb?: Verb;
} & (
  | { readonly kind: 'outside'; readonly uri: string }
  | { readonly kind: 'copy'; readonly text: string }
  | { readonly kind: 'page'; readonly page: '' | '/edit' | '?talk=new' }
  | {
      readonly kind: 'change' | 'new';
      readonly upserts: readonly Card[];
      /** What they were made from; a new card is made from nothing. */
      readonly from: readonly Card[];
      /** Talks that are noted with it. */
      readonly talks?: readonly Talk[];
    }
  /** Another place; a message may be addressed on the way. */
  | {
      readonly kind: 'go';
      /** '' for the list that it is about. */
      readonly path: string;
      readonly to?: Whom;
      readonly subject?: string;
      /** Whose cards go along with the message. */
      readonly attached?: Whom;
    }
  /** Cards become a file of a format; those of several people are shown first. */
  | { readonly kind: 'file'; readonly whose: Whom; readonly format: string }
  /** It can't be done; the detail says why. */
  | { readonly kind: 'none' }
);

/** What planning depends on beside the card. */
export interface PlanContext {
  /** ISO 3166-1 alpha-2. */
  readonly country: string;
  /** BCP 47. */
  readonly locale: string;
  readonly getList: (uid: string) => Card | undefined;
}

/** What a line would do with a card; undefined where it asks for nothing, or everything is there already. */
export function planQuick(card: Card, quick: Quick, context: PlanContext): Offer | undefined {
  if (quick.fills.length > 0) return planFills(card, quick.fills, context);
  if (quick.wanted !== undefined) return planValue(card, quick.wanted, context);
  return quick.verb === undefined ? undefined : planAct(card, quick.verb, context);
}

/** What an act would do with a card. */
export function planAct(card: Card, verb: Verb, context: PlanContext): Offer | undefined {
  const offer = planVerb(card, verb, context);
  return offer && { ...offer, verb };
}

/** A new card with what was recognised; undefined where there is neither a name nor a way to reach somebody. */
export function planNew(quick: Quick, uid: string, now: string, context: PlanContext): Offer | undefined {
  const name = parseName(quick.name);
  if (
    !name &&
    !quick.fills.some(({ kind }) => kind === 'mail' || kind === 'number' || kind === 'organisation')
  )
    return undefined;
  const blank: Card = { ...newCard(uid, now), kind: 'individual', ...(name ? { name } : {}) };
  const { upserts, details, lists: from } = applyFills(blank, quick.fills, context);
  const shown = name ? quick.name : (quick.fills[0]?.value ?? '');
  const [first = blank, ...lists] = upserts;
  return {
    ...{ kind: 'new', uid, upserts: [first, ...lists], from },
    label: texts.newCard(shown),
    detail: details.join(' · '),
  };
}

function planFills(card: Card, fills: readonly Fill[], context: PlanContext): Offer | undefined {
  const { upserts, details, lists } = applyFills(card, fills, context);
  if (details.length === 0) return planOtherBirthday(card, fills, context);
  return {
    ...{ kind: 'change', uid: card.uid, from: [card, ...lists] },
    upserts: upserts.filter((one) => one !== card),
    label: texts.addTo(shownAs(card)),
    detail: details.join(' · '),
  };
}

/** A card has one birthday; a different one is entered in the form, where the old one is seen. */
function planOtherBirthday(card: Card, fills: readonly Fill[], context: PlanContext): Offer | undefined {
  const fill = fills.find(({ kind }) => kind === 'birthday');
  const known = shownValue(card, 'birthday', context);
  if (fill?.kind !== 'birthday' || known === undefined) return undefined;
  if (formatPartialDate(fill.date, context.locale) === known) return undefined;
  return {
    ...{ kind: 'page', uid: card.uid, page: '/edit' },
    label: texts.changeBirthdayOf(shownAs(card)),
    detail: texts.soFar(known),
  };
}

/** The card with what isn't there yet, and the lists that it goes on; `details` say what changes. */
function applyFills(card: Card, fills: readonly Fill[], context: PlanContext) {
  let next = card;
  const lists: Card[] = [];
  const changed: Card[] = [];
  const details: string[] = [];
  for (const fill of fills) {
    if (fill.kind === 'list') {
      const list = context.getList(fill.uid);
      const after = list && withMembers(list, [card.uid]);
      if (!after || after === list) continue;
      lists.push(list);
      changed.push(after);
      details.push(texts.on(fill.value));
      continue;
    }
    const after = applyFill(next, fill, context);
    if (after === next) continue;
    next = after;
    details.push(`${WORDS[fill.kind]} ${fill.value}`);
  }
  return { upserts: [next, ...changed], details, lists };
}

const WORDS = {
  mail: 'mail',
  number: 'number',
  web: shared.webAddress,
  tag: 'tag',
  note: 'note',
  organisation: 'at',
  birthday: 'birthday',
} as const;

function applyFill(card: Card, fill: Exclude<Fill, { kind: 'list' }>, { country }: PlanContext): Card {
  return fill.kind === 'birthday'
    ? withBirthday(card, fill.date)
    : fillOne(card, fill.kind, fill.value, country);
}

function planValue(card: Card, wanted: Wanted, context: PlanContext): Offer {
  const text = shownValue(card, wanted, context);
  const label = `${shownAs(card)}: ${wanted === 'web' ? shared.webAddress : wanted}`;
  if (text === undefined) return { kind: 'none', uid: card.uid, label, detail: texts.isNotOnCard };
  return { kind: 'copy', uid: card.uid, label, detail: text.replaceAll('\n', ', '), text };
}

const OUTSIDE = {
  call: { reach: 'call', word: texts.call, missing: texts.hasNoNumber },
  write: { reach: 'write', word: texts.writeTo, missing: texts.hasNoMailAddress },
  message: { reach: 'message', word: texts.message, missing: texts.hasNoMobileNumber },
  way: { reach: 'way', word: texts.wayTo, missing: texts.hasNoAddress },
} as const;

function planVerb(card: Card, verb: Verb, context: PlanContext): Offer | undefined {
  const { uid } = card;
  const name = shownAs(card);
  switch (verb) {
    case 'call':
    case 'write':
    case 'message':
    case 'way': {
      const { reach, word, missing } = OUTSIDE[verb];
      const uri = reachOf(card, context.country)[reach];
      const label = `${word} ${name}`;
      if (uri === undefined) return { kind: 'none', uid, label, detail: missing };
      const wanted = verb === 'write' ? 'mail' : verb === 'way' ? 'address' : 'number';
      const detail = shownValue(card, wanted, context) ?? '';
      return { kind: 'outside', uid, label, detail: detail.replaceAll('\n', ', '), uri };
    }
    case 'copy':
      return planValue(card, card.phones ? 'number' : 'mail', context);
    case 'edit':
      return { kind: 'page', uid, label: texts.editNamed(name), detail: '', page: '/edit' };
    case 'talk':
      return { kind: 'page', uid, label: shared.noteTalkWith(name), detail: '', page: '?talk=new' };
    case 'open':
      return { kind: 'page', uid, label: texts.open(name), detail: '', page: '' };
    case 'pin':
    case 'unpin':
    case 'archive': {
      const next =
        verb === 'archive' ? withFlag(card, 'archived', true) : withFlag(card, 'pinned', verb === 'pin');
      const word = { pin: texts.pin, unpin: texts.unpin, archive: texts.archive }[verb];
      if (next === card) return { kind: 'none', uid, label: `${word} ${name}`, detail: texts.isAlreadySo };
      return { kind: 'change', uid, label: `${word} ${name}`, detail: '', upserts: [next], from: [card] };
    }
    case 'add':
      return undefined;
  }
}
