import { z } from 'zod';

import { parseTypedDate } from '@/core/base';
import { texts } from '@/texts/card/editing';

const id = z.string();
const label = z.string();
const isPreferred = z.boolean();
/** A value that never leaves this browser. */
const isPrivate = z.boolean();

/** An address as mail is written: something, @, a domain; RFC 5322 allows more than anybody uses. */
const MAIL = /^[^\s@<>,;]+@[^\s@<>,;]+\.?[^\s@<>,;]*$/;

const text = z.string();
const isBlank = (value: string) => value.trim() === '';

/** Rows without a value are not errors: they are left out when the card is saved. */
const phone = z.object({
  ...{ id, label, isPreferred, isPrivate },
  number: text.refine((value) => isBlank(value) || /\d/.test(value), texts.numberNeedsDigitsSuch),
});
const email = z.object({
  ...{ id, label, isPreferred, isPrivate },
  address: text.refine((value) => isBlank(value) || MAIL.test(value.trim()), texts.mailAddressLooksLike),
  /** The name that mail to it carries, where it isn't the card's. */
  shownAs: text,
});
const address = z.object({
  ...{ id, label, isPrivate },
  /** Letters are sent here; one address of a card at most. */
  isPost: z.boolean(),
  street: text,
  postcode: text,
  locality: text,
  region: text,
  country: text,
});
const link = z.object({
  ...{ id, label, isPrivate },
  uri: text.refine((value) => isBlank(value) || !/\s/.test(value.trim()), texts.webAddressHasNoSpaces),
});
const date = z.object({
  ...{ id, label, isPrivate },
  text: text.refine((value) => isBlank(value) || parseTypedDate(value) !== undefined, texts.writeDayAs3),
});
const note = z.object({ id, isPrivate, text });
/** A place of work: what is said of the organisation and of the person there. */
const work = z.object({
  /** Of the organisation's entry; '' where there is none. */
  id,
  postId: text,
  roleId: text,
  organization: text,
  /** Departments, from the whole to the part, with semicolons between. */
  unit: text,
  post: text,
  role: text,
});
/** A chat address or a name on some service; the service is its label. */
const account = z.object({ id, label, isPrivate, text });
/** An interest, a hobby or something one is good at; which of them is its label. */
const info = z.object({ id, label, text });
/** Another card; how it is related is its label, the name is for people and its uid is the id. */
const relation = z.object({ id, label, text });
const ownField = z.object({ id, label, isPrivate, text });
/** A file that belongs to the card; uri as that of the photo. */
const file = z.object({ id, text, uri: text });
const key = z.object({
  id,
  text: text.refine(
    (value) => isBlank(value) || /^[a-z][\w+.-]*:\S+$/i.test(value.trim()),
    texts.keyIsWebAddress,
  ),
});

/** The parts of a name, as typed one by one. */
const parts = z.object({
  title: text,
  given: text,
  given2: text,
  surname: text,
  surname2: text,
  generation: text,
  credential: text,
  /** How given name and surname sound. */
  givenSound: text,
  surnameSound: text,
  /** What the surname is sorted as. */
  sortedAs: text,
});

/** Whether a text names a time zone of the IANA database. */
function isTimeZone(value: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: value }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** What the editing page holds, every value as it is typed. */
export const cardFormSchema = z
  .object({
    kind: z.enum(['individual', 'org']),
    isPrivate,
    /** A data: URI; blob: with the id of one that lies apart; '' for none. */
    photo: text,
    name: text,
    parts,
    /** Several with commas between. */
    nickname: text,
    pronouns: text,
    work: z.array(work),
    phones: z.array(phone),
    emails: z.array(email),
    accounts: z.array(account),
    addresses: z.array(address),
    links: z.array(link),
    dates: z.array(date),
    infos: z.array(info),
    relations: z.array(relation),
    /** Names or tags of languages, with commas between. */
    languages: text,
    timeZone: text.refine((value) => isBlank(value) || isTimeZone(value.trim()), texts.timeZoneIsNamed),
    /** The ringtone of their calls; '' for the usual one. */
    ring: text,
    tags: text,
    notes: z.array(note),
    ownFields: z.array(ownField),
    keys: z.array(key),
    files: z.array(file),
  })
  .refine(
    (form) =>
      !isBlank(form.name) ||
      form.work.some(({ organization }) => !isBlank(organization)) ||
      form.phones.some(({ number }) => !isBlank(number)) ||
      form.emails.some(({ address: mail }) => !isBlank(mail)),
    {
      path: ['name'],
      message: texts.giveNameOrganisationNumber,
    },
  );

/** The values of the editing page. */
export type CardForm = z.infer<typeof cardFormSchema>;
