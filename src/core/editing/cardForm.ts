import { z } from 'zod';

import { parseTypedDate } from './parseTypedDate';

const id = z.string();
const label = z.string();

/** An address as mail is written: something, @, a domain; RFC 5322 allows more than anybody uses. */
const MAIL = /^[^\s@<>,;]+@[^\s@<>,;]+\.?[^\s@<>,;]*$/;

/** Rows without a value are not errors: they are left out when the card is saved. */
const phone = z.object({
  id,
  label,
  isPreferred: z.boolean(),
  number: z
    .string()
    .refine((text) => text.trim() === '' || /\d/.test(text), 'A number needs digits, such as 020 7946 0958'),
});
const email = z.object({
  id,
  label,
  isPreferred: z.boolean(),
  address: z
    .string()
    .refine(
      (text) => text.trim() === '' || MAIL.test(text.trim()),
      'A mail address looks like name@example.org',
    ),
});
const address = z.object({
  id,
  label,
  street: z.string(),
  postcode: z.string(),
  locality: z.string(),
  region: z.string(),
  country: z.string(),
});
const link = z.object({
  id,
  label,
  uri: z
    .string()
    .refine((text) => text.trim() === '' || !/\s/.test(text.trim()), 'A web address has no spaces in it'),
});
const date = z.object({
  id,
  label,
  text: z
    .string()
    .refine(
      (text) => text.trim() === '' || parseTypedDate(text) !== undefined,
      'Write the day as 3 February 1968, or 3 February where the year is not known',
    ),
});
const note = z.object({ id, text: z.string() });

/** What the editing page holds, every value as it is typed. */
export const cardFormSchema = z
  .object({
    kind: z.enum(['individual', 'org']),
    name: z.string(),
    nickname: z.string(),
    title: z.string(),
    organization: z.string(),
    phones: z.array(phone),
    emails: z.array(email),
    addresses: z.array(address),
    links: z.array(link),
    dates: z.array(date),
    notes: z.array(note),
  })
  .refine(
    (form) =>
      form.name.trim() !== '' ||
      form.organization.trim() !== '' ||
      form.phones.some(({ number }) => number.trim() !== '') ||
      form.emails.some(({ address: mail }) => mail.trim() !== ''),
    {
      path: ['name'],
      message: 'Give a name, an organisation, a number or a mail address; one of them is enough',
    },
  );

/** The values of the editing page. */
export type CardForm = z.infer<typeof cardFormSchema>;
