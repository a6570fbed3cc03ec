import type { AddressComponent } from '@/core/card';

/** RFC 6350 §6.3.1 and RFC 9554 §2.1: what stands at each place of ADR. Places 1 and 2 are the older form. */
export const ADR_KINDS = [
  'postOfficeBox',
  'apartment',
  'name',
  'locality',
  'region',
  'postcode',
  'country',
  'room',
  'apartment',
  'floor',
  'number',
  'name',
  'building',
  'block',
  'subdistrict',
  'district',
  'landmark',
  'direction',
] as const;

/** The first place that only the longer form has. */
export const FIRST_LONG_PLACE = 7;

/**
 * The components of an address. Where the longer form is used, places 1 and 2 only repeat it for older readers
 * (RFC 9554 §2.1) and are passed over.
 */
export function readAddressComponents(places: readonly string[][]): AddressComponent[] {
  const isLong = places.some((values, place) => place >= FIRST_LONG_PLACE && values.length > 0);
  const components: AddressComponent[] = [];
  for (const [place, values] of places.entries()) {
    const kind = ADR_KINDS[place];
    if (kind === undefined || (isLong && (place === 1 || place === 2))) continue;
    for (const value of values) components.push({ kind, value });
  }
  return components;
}
