import { z } from 'zod';

import { useShape, vCardShape } from './common';

/** RFC 9553 §2.5.1.2: the kinds of an address's components. */
export const ADDRESS_KINDS = [
  'room',
  'apartment',
  'floor',
  'building',
  'number',
  'name',
  'block',
  'subdistrict',
  'district',
  'locality',
  'region',
  'postcode',
  'country',
  'direction',
  'landmark',
  'postOfficeBox',
  'separator',
] as const;

const addressComponentSchema = z.looseObject({
  '@type': z.literal('AddressComponent').exactOptional(),
  value: z.string(),
  kind: z.string(),
  phonetic: z.string().exactOptional(),
});

/** RFC 9553 §2.5.1: `countryCode` by ISO 3166-1 alpha-2, `coordinates` as a geo: URI (RFC 5870). */
export const addressSchema = z.looseObject({
  '@type': z.literal('Address').exactOptional(),
  components: z.array(addressComponentSchema).exactOptional(),
  isOrdered: z.boolean().exactOptional(),
  defaultSeparator: z.string().exactOptional(),
  full: z.string().exactOptional(),
  countryCode: z.string().exactOptional(),
  coordinates: z.string().exactOptional(),
  timeZone: z.string().exactOptional(),
  phoneticScript: z.string().exactOptional(),
  phoneticSystem: z.string().exactOptional(),
  ...useShape,
  ...vCardShape,
});
