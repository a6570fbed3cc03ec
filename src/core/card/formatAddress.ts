import type { Address } from './schema/types';

/** Countries that write the postcode after the town (Universal Postal Union's country sheets; from memory). */
const POSTCODE_AFTER = new Set('GB IE US CA AU NZ IN ZA KE NG GH HK SG'.split(' '));

/** Countries that write the house number before the street; others write it after. From memory, as above. */
const NUMBER_BEFORE = new Set('GB IE US CA AU NZ IN ZA KE NG GH HK SG FR BE LU'.split(' '));

/**
 * An address as lines for people's eyes. `full` wins; ordered components keep their order; else the country's
 * habit decides where number and postcode stand.
 *
 * @returns no line for an empty address
 */
export function formatAddress(address: Address): string[] {
  if (address.full !== undefined) return address.full.split(/\r?\n/).filter(Boolean);
  if (address.isOrdered === true) return orderedLines(address);
  const country = address.countryCode?.toUpperCase() ?? '';
  const of = (...kinds: string[]) => partsOf(address, kinds);
  const street = NUMBER_BEFORE.has(country) ? of('number', 'name') : [...of('name'), ...of('number')];
  const town = POSTCODE_AFTER.has(country)
    ? [...of('locality'), ...of('region'), ...of('postcode')]
    : [...of('postcode'), ...of('locality'), ...of('region')];
  const lines = [
    of('building', 'room', 'apartment', 'floor'),
    [...street, ...of('direction')],
    of('block', 'subdistrict', 'district', 'landmark'),
    of('postOfficeBox'),
    town,
    of('country'),
  ];
  return lines.map((parts) => parts.join(' ')).filter(Boolean);
}

/** The town of an address, for the second line of a row; '' where it has none. */
export function placeOf(address: Address): string {
  return partsOf(address, ['locality'])[0] ?? '';
}

/** What an address says of a kind of component, such as postcode; '' for nothing. */
export function addressPart(address: Address, kind: string): string {
  return partsOf(address, [kind]).join(' ');
}

function partsOf(address: Address, kinds: readonly string[]): string[] {
  const components = address.components ?? [];
  return kinds.flatMap((kind) =>
    components.filter((c) => c.kind === kind && c.value !== '').map((c) => c.value),
  );
}

function orderedLines(address: Address): string[] {
  let text = '';
  let follows = false;
  for (const { kind, value } of address.components ?? []) {
    if (kind === 'separator') text += value;
    else text += (follows ? (address.defaultSeparator ?? ' ') : '') + value;
    follows = kind !== 'separator';
  }
  return text.split(/\r?\n/).filter(Boolean);
}
