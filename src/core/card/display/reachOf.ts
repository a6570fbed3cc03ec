import { formatAddress } from '../formatAddress';
import { dialUri } from '../phone/formatPhone';
import { preferredEntry } from '../preferEntry';
import type { Address, Card } from '../schema/types';
import { safeUri } from './safeUri';

/** The ways to reach somebody at one press; each is there only where the card has what it needs. */
export interface Reach {
  /** RFC 3966. */
  readonly call?: string;
  /** RFC 5724. */
  readonly message?: string;
  /** RFC 6068. */
  readonly write?: string;
  /** RFC 5870, with the address as the query that map programs look up. */
  readonly way?: string;
  readonly web?: string;
}

/** @param country - ISO 3166-1 alpha-2, for numbers written without a country code */
export function reachOf(card: Card, country: string): Reach {
  const phone = preferredEntry(card.phones, ({ features }) => !features?.['fax'] && !features?.['pager']);
  const mobile = preferredEntry(
    card.phones,
    ({ features }) => features?.['mobile'] === true || features?.['text'] === true,
  );
  const mail = preferredEntry(card.emails);
  const address = preferredEntry(card.addresses, (entry) => directionsUri(entry) !== undefined);
  const link = preferredEntry(card.links, ({ uri }) => /^https?:/i.test(safeUri(uri) ?? ''));
  return {
    ...(phone ? { call: dialUri(phone.number, country) } : {}),
    ...(mobile ? { message: smsUri(mobile.number, country) } : {}),
    ...(mail ? { write: mailUri(mail.address) } : {}),
    ...some('way', address && directionsUri(address)),
    ...some('web', link && safeUri(link.uri)),
  };
}

function some<K extends string>(key: K, value: string | undefined): Partial<Record<K, string>> {
  return value === undefined ? {} : ({ [key]: value } as Record<K, string>);
}

/** sms: to the number that tel: would dial; extensions can't be messaged. */
export function smsUri(number: string, country: string): string {
  return dialUri(number, country)
    .replace(/^tel:/, 'sms:')
    .replace(/;ext=.*$/, '');
}

/** RFC 6068 §2: what stands before and behind the @ is percent-encoded, the @ itself is not. */
export function mailUri(address: string): string {
  return `mailto:${encodeURIComponent(address.trim()).replaceAll('%40', '@')}`;
}

/** geo: to the coordinates where they are known, else to the address as a query; undefined for an empty address. */
export function directionsUri(address: Address): string | undefined {
  const known = safeUri(address.coordinates ?? '');
  if (known?.startsWith('geo:')) return known;
  const query = formatAddress(address).join(', ');
  return query === '' ? undefined : `geo:0,0?q=${encodeURIComponent(query)}`;
}
