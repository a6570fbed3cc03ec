import { type Address, type Card, formatName, formatPartialDate, toPartialDate } from '../card';
import type { CardForm } from './cardForm';
import { formatLabel } from './label';

/** Our words for the kinds of anniversaries of RFC 9553 §2.8.1. */
export const DATE_LABELS: Readonly<Record<string, string>> = {
  birth: 'birthday',
  wedding: 'wedding day',
  death: 'death',
};

/** What the editing page shows of a card. @param locale - for dates in words */
export function toForm(card: Card, locale?: string): CardForm {
  return {
    kind: card.kind === 'org' ? 'org' : 'individual',
    name: formatName(card.name),
    nickname: Object.values(card.nicknames ?? {})[0]?.name ?? '',
    title: Object.values(card.titles ?? {})[0]?.name ?? '',
    organization: Object.values(card.organizations ?? {})[0]?.name ?? '',
    phones: each(card.phones, ({ number, ...use }) => ({
      number: number.replace(/^tel:/, ''),
      ...used(use),
    })),
    emails: each(card.emails, ({ address, ...use }) => ({ address, ...used(use) })),
    addresses: each(card.addresses, (entry) => ({ label: formatLabel(entry), ...toAddressForm(entry) })),
    links: each(card.links, ({ uri, ...use }) => ({ uri, label: formatLabel(use) })),
    dates: each(card.anniversaries, (entry) => ({
      label: entry.label ?? DATE_LABELS[entry.kind] ?? entry.kind.replace(/^.*:/, ''),
      text: formatPartialDate(toPartialDate(entry.date), locale),
    })),
    notes: each(card.notes, ({ note }) => ({ text: note })),
  };
}

/** The lines of an address that are edited apart; what else it has is kept beside them. */
export function toAddressForm(entry: Address): Omit<CardForm['addresses'][number], 'id' | 'label'> {
  const of = (...kinds: string[]) =>
    (entry.components ?? [])
      .filter(({ kind }) => kinds.includes(kind))
      .map(({ value }) => value)
      .join(' ');
  const hasParts = (entry.components ?? []).length > 0;
  return {
    street: hasParts ? of('number', 'name') : (entry.full ?? ''),
    postcode: of('postcode'),
    locality: of('locality'),
    region: of('region'),
    country: of('country'),
  };
}

function used(use: Parameters<typeof formatLabel>[0] & { readonly pref?: number }) {
  return { label: formatLabel(use), isPreferred: use.pref === 1 };
}

function each<T, U extends object>(
  entries: Readonly<Record<string, T>> | undefined,
  map: (entry: T) => U,
): (U & { id: string })[] {
  return Object.entries(entries ?? {}).map(([id, entry]) => ({ id, ...map(entry) }));
}
