import type { PartialDate } from '@/core/base';
import { type Card, countriesOf, idFor, isAmong, withoutTag, withTag } from '@/core/card';
import { withMembers, withoutMembers } from '@/core/lists';
import { type Rhythm, withRhythm } from '@/core/talks';

import { parseIsoPartial } from '../line/isoPartial';
import type { LineValue } from '../line/reading';

/** What filling in depends on. */
export interface FillContext {
  /** ISO 3166-1 alpha-2. */
  readonly country: string;
  readonly getList: (uid: string) => Card | undefined;
}

/** Cards after something was filled in: of whom it is about, and the lists that they went on or off. */
export interface Filled {
  readonly card: Card;
  readonly lists: readonly { readonly before: Card; readonly after: Card }[];
}

/** A card with values filled in; what it has already stays as it is. */
export function fillCard(card: Card, values: readonly LineValue[], context: FillContext): Filled {
  let next = card;
  const lists: { before: Card; after: Card }[] = [];
  for (const { field, value } of values) {
    if (field === 'list' || field === '-list') {
      const before = lists.find((one) => one.before.uid === value)?.after ?? context.getList(value);
      const after =
        before && (field === 'list' ? withMembers(before, [card.uid]) : withoutMembers(before, [card.uid]));
      if (before && after && after !== before) lists.push({ before, after });
    } else next = fillOne(next, field, value, context.country);
  }
  return { card: next, lists };
}

/** A card with one value more, where it isn't on it yet. @param named - such as "mail:work"; anything unknown changes nothing */
export function fillOne(card: Card, named: string, value: string, country: string): Card {
  const [field = '', kind] = named.split(':');
  const context = kind === 'work' || kind === 'private' ? { contexts: { [kind]: true as const } } : {};
  switch (field) {
    case 'mail':
      return withNew(card, 'emails', { address: value, ...context }, country);
    case 'number': {
      const features = kind === 'mobile' || kind === 'fax' ? { features: { [kind]: true as const } } : {};
      return withNew(card, 'phones', { number: value, ...context, ...features }, country);
    }
    case 'web':
      return withNew(card, 'links', { uri: /^https?:/i.test(value) ? value : `https://${value}` }, country);
    case 'organisation':
      return withNew(card, 'organizations', { name: value }, country);
    case 'title':
      return withNew(card, 'titles', { name: value, kind: 'title' }, country);
    case 'nickname':
      return withNew(card, 'nicknames', { name: value }, country);
    case 'note':
      return withEntry(card, 'notes', { note: value });
    case 'town':
      return withEntry(card, 'addresses', { components: [{ kind: 'locality', value }] });
    case 'address':
      return withEntry(card, 'addresses', { full: value });
    case 'tag':
      return withTag(card, value);
    case '-tag':
      return withoutTag(card, value);
    case 'opener':
      return { ...card, 'cordialis.example:opener': value };
    case 'rhythm': {
      const [every = '1', unit = 'month'] = value.split(' ');
      return withRhythm(card, { every: Number(every), unit: unit as Rhythm['unit'] });
    }
    case 'birthday': {
      const date = parseIsoPartial(value);
      return date ? withBirthday(card, date) : card;
    }
    default:
      return card;
  }
}

/** A card with its birthday, if it has none; there is but one. */
export function withBirthday(card: Card, date: PartialDate): Card {
  const isKnown = Object.values(card.anniversaries ?? {}).some(({ kind }) => kind === 'birth');
  return isKnown ? card : withEntry(card, 'anniversaries', { kind: 'birth', date });
}

type Filling =
  | 'emails'
  | 'phones'
  | 'links'
  | 'notes'
  | 'organizations'
  | 'titles'
  | 'nicknames'
  | 'addresses'
  | 'anniversaries';

function withEntry(card: Card, collection: Filling, entry: object): Card {
  const entries = card[collection] ?? {};
  return { ...card, [collection]: { ...entries, [idFor(collection, entry, entries)]: entry } };
}

/** The same with a value that isn't on it yet. */
function withNew(card: Card, collection: Filling, entry: object, country: string): Card {
  const known: readonly object[] = Object.values(card[collection] ?? {});
  return isAmong(collection, known, entry, countriesOf(country, card))
    ? card
    : withEntry(card, collection, entry);
}
