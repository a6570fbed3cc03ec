import { formatPartialDate, toPartialDate } from '@/core/base';
import { type Card, formatAddress, formatPhone, preferredEntry, tagsOf } from '@/core/card';

/** What showing depends on. */
interface ShownContext {
  /** ISO 3166-1 alpha-2. */
  readonly country: string;
  /** BCP 47. */
  readonly locale: string;
  /** A day such as 2026-11-24; without it nobody has an age. */
  readonly today?: string;
}

/** What says of an entry where it belongs. */
interface Kinds {
  readonly contexts?: object;
  readonly features?: object;
  readonly pref?: number;
}

/** A value of a card as it is shown; undefined where the card doesn't say it. @param named - such as "mail:work" */
export function shownValue(
  card: Card,
  named: string,
  { country, locale, today }: ShownContext,
): string | undefined {
  const [field = '', kind] = named.split(':');
  const isOfKind = (one: Kinds) =>
    kind === undefined || Object.hasOwn({ ...one.contexts, ...one.features }, kind);
  const ofKind = <T extends Kinds>(entries: Readonly<Record<string, T>> = {}) =>
    preferredEntry(Object.fromEntries(Object.entries(entries).filter(([, entry]) => isOfKind(entry))));
  const birth = Object.values(card.anniversaries ?? {}).find((one) => one.kind === 'birth');
  const born = birth && toPartialDate(birth.date);
  switch (field) {
    case 'number': {
      const phone = ofKind(card.phones);
      return phone && formatPhone(phone.number, country);
    }
    case 'mail':
      return ofKind(card.emails)?.address;
    case 'address':
    case 'town': {
      const address = ofKind(card.addresses);
      return address && formatAddress(address).join('\n');
    }
    case 'web':
      return preferredEntry(card.links)?.uri;
    case 'birthday':
      return born && formatPartialDate(born, locale);
    case 'age': {
      if (born?.year === undefined || today === undefined) return undefined;
      const monthDay = `${String(born.month ?? 12).padStart(2, '0')}-${String(born.day ?? 31).padStart(2, '0')}`;
      return String(Number(today.slice(0, 4)) - born.year - (monthDay > today.slice(5) ? 1 : 0));
    }
    case 'organisation':
      return Object.values(card.organizations ?? {})[0]?.name;
    case 'title':
      return Object.values(card.titles ?? {})[0]?.name;
    case 'nickname':
      return Object.values(card.nicknames ?? {})[0]?.name;
    case 'note':
      return (
        Object.values(card.notes ?? {})
          .map(({ note }) => note)
          .join('\n') || undefined
      );
    case 'opener':
      return card['cordialis.example:opener'];
    case 'tag':
    case 'tags':
      return tagsOf(card).join(', ') || undefined;
    default:
      return undefined;
  }
}
