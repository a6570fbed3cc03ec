import type { Address } from '@/core/card';

import { countryOf } from './countries';
import { PREFIX_COUNTRIES } from './postcodes';
import type { SpanField, TextSpan } from './spans';

/** Fields of an address, and the kind of component (RFC 9553 §2.5.1.2) that each becomes. */
const KINDS: Partial<Record<SpanField, string>> = {
  ...{ building: 'building', street: 'name', postOfficeBox: 'postOfficeBox', postcode: 'postcode' },
  ...{ town: 'locality', region: 'region', country: 'country' },
};

/** Lines that may lie between two parts of one address. */
const MAX_LINES_BETWEEN = 2;

/** Addresses of the marked parts: parts that follow one another are one address, until one of them comes again. */
export function addressesFrom(text: string, marks: readonly TextSpan[]): Address[] {
  const groups: TextSpan[][] = [];
  for (const mark of marks.filter(({ field }) => KINDS[field] !== undefined)) {
    const group = groups.at(-1);
    const last = group?.at(-1);
    const isNext =
      group && last && text.slice(last.end, mark.start).split('\n').length - 1 <= MAX_LINES_BETWEEN;
    const isAgain = group?.some(
      ({ field }) => field === mark.field && field !== 'building' && field !== 'street',
    );
    const isNewStreet =
      mark.field === 'street' &&
      group?.some(({ field }) => field === 'town') === true &&
      group.some(({ field }) => field === 'street');
    if (isNext && !isAgain && !isNewStreet) group.push(mark);
    else groups.push([mark]);
  }
  return groups.map((group) => addressOf(text, group));
}

function addressOf(text: string, group: readonly TextSpan[]): Address {
  const components: { kind: string; value: string }[] = [];
  for (const { field, start, end } of group) {
    const kind = KINDS[field] ?? '';
    const value = text.slice(start, end).replace(/\s+/g, ' ').trim();
    const same = components.find((one) => one.kind === kind);
    if (same) same.value += `, ${value}`;
    else components.push({ kind, value });
  }
  // A unit of an estate is all there is of a street.
  const house = components.find(({ kind }) => kind === 'building');
  if (house && !components.some(({ kind }) => kind === 'name' || kind === 'postOfficeBox'))
    house.kind = 'name';
  const country = components.find(({ kind }) => kind === 'country');
  const postcode = group.find(({ field }) => field === 'postcode');
  const sign = postcode
    ? /([A-Z]{1,3})-\s?$/.exec(text.slice(Math.max(0, postcode.start - 5), postcode.start))?.[1]
    : undefined;
  const code = country ? countryOf(country.value) : sign === undefined ? undefined : PREFIX_COUNTRIES[sign];
  return {
    components,
    ...(code === undefined ? {} : { countryCode: code }),
    ...(group.some(({ isDelivery }) => isDelivery === true) ? { contexts: { delivery: true } } : {}),
  };
}
