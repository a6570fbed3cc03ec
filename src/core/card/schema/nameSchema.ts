import { z } from 'zod';

import { setSchema, useShape, vCardShape } from './common';

/** RFC 9553 §2.2.1.2: the kinds of a name's components. Others are kept, so the schema takes any. */
export const NAME_KINDS = [
  'title',
  'given',
  'given2',
  'surname',
  'surname2',
  'credential',
  'generation',
  'separator',
] as const;

const nameComponentSchema = z.looseObject({
  '@type': z.literal('NameComponent').exactOptional(),
  value: z.string(),
  kind: z.string(),
  phonetic: z.string().exactOptional(),
});

/** RFC 9553 §2.2.1: the name of a person or thing, in parts or as a whole. */
export const nameSchema = z.looseObject({
  '@type': z.literal('Name').exactOptional(),
  components: z.array(nameComponentSchema).exactOptional(),
  isOrdered: z.boolean().exactOptional(),
  defaultSeparator: z.string().exactOptional(),
  full: z.string().exactOptional(),
  sortAs: z.record(z.string(), z.string()).exactOptional(),
  phoneticScript: z.string().exactOptional(),
  phoneticSystem: z.string().exactOptional(),
  ...vCardShape,
});

/** RFC 9553 §2.2.2. */
export const nicknameSchema = z.looseObject({
  '@type': z.literal('Nickname').exactOptional(),
  name: z.string(),
  ...useShape,
  ...vCardShape,
});

const orgUnitSchema = z.looseObject({
  '@type': z.literal('OrgUnit').exactOptional(),
  name: z.string(),
  sortAs: z.string().exactOptional(),
});

/** RFC 9553 §2.2.3. */
export const organizationSchema = z.looseObject({
  '@type': z.literal('Organization').exactOptional(),
  name: z.string().exactOptional(),
  units: z.array(orgUnitSchema).exactOptional(),
  sortAs: z.string().exactOptional(),
  ...useShape,
  ...vCardShape,
});

/** RFC 9553 §2.2.5: a job title or a role in an organisation. */
export const titleSchema = z.looseObject({
  '@type': z.literal('Title').exactOptional(),
  name: z.string(),
  kind: z.string().exactOptional(),
  organizationId: z.string().exactOptional(),
  ...useShape,
  ...vCardShape,
});

const pronounsSchema = z.looseObject({
  '@type': z.literal('Pronouns').exactOptional(),
  pronouns: z.string(),
  ...useShape,
  ...vCardShape,
});

/** RFC 9553 §2.2.4: how to speak to or of somebody. */
export const speakToAsSchema = z.looseObject({
  '@type': z.literal('SpeakToAs').exactOptional(),
  grammaticalGender: z.string().exactOptional(),
  pronouns: z.record(z.string(), pronounsSchema).exactOptional(),
});

/** RFC 9553 §2.1.8: how another card is related to this one. */
export const relationSchema = z.looseObject({
  '@type': z.literal('Relation').exactOptional(),
  relation: setSchema.exactOptional(),
  ...vCardShape,
});
