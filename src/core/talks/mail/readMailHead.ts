import { addressParser, decodeWords } from 'postal-mime';

import { dayNumberOf, decodeUtf8 } from '@/core/base';

/** A name and an address (RFC 5322 §3.4). */
export interface Mailbox {
  /** '' where there is none. */
  readonly name: string;
  /** As it was written. */
  readonly address: string;
}

/** What the header of a message says. */
export interface MailHead {
  /** Without its angle brackets; '' where there is none. */
  readonly messageId: string;
  /** Milliseconds since 1970. */
  readonly atMs: number;
  readonly from: readonly Mailbox[];
  readonly to: readonly Mailbox[];
  readonly cc: readonly Mailbox[];
  readonly bcc: readonly Mailbox[];
  readonly subject: string;
}

/** The fields that are read, in lower case. */
const FIELDS = ['message-id', 'date', 'from', 'to', 'cc', 'bcc', 'subject'] as const;

/**
 * Reads the header of a message (RFC 5322), its encoded words (RFC 2047) decoded.
 *
 * @returns undefined for what has no sender or no date that can be read: it is no message
 */
export function readMailHead(octets: Uint8Array): MailHead | undefined {
  const fields = fieldsOf(decodeUtf8(octets) ?? fromLatin1(octets));
  const atMs = parseMailDate(fields.get('date') ?? '');
  const mailboxes = (name: (typeof FIELDS)[number]) => readMailboxes(fields.get(name) ?? '');
  const from = mailboxes('from');
  if (atMs === undefined || from.length === 0) return undefined;
  return {
    messageId: (fields.get('message-id') ?? '').replace(/^[\s<]+|[\s>]+$/g, ''),
    ...{ atMs, from, to: mailboxes('to'), cc: mailboxes('cc'), bcc: mailboxes('bcc') },
    subject: decodeWords(fields.get('subject') ?? '')
      .replace(/\s+/g, ' ')
      .trim(),
  };
}

/** The values of the fields that are read, unfolded (RFC 5322 §2.2.3); of a field that comes twice both together. */
function fieldsOf(text: string): Map<string, string> {
  const fields = new Map<string, string>();
  for (const line of text.replace(/\r?\n[ \t]+/g, ' ').split(/\r?\n/)) {
    const colon = line.indexOf(':');
    if (colon < 1) continue;
    const name = line.slice(0, colon).trim().toLowerCase();
    if (!(FIELDS as readonly string[]).includes(name)) continue;
    const before = fields.get(name);
    const value = line.slice(colon + 1).trim();
    fields.set(name, before === undefined ? value : `${before}, ${value}`);
  }
  return fields;
}

/** The mailboxes of a field, those of its groups too, as far as they have an address. */
function readMailboxes(value: string): Mailbox[] {
  if (value === '') return [];
  return addressParser(value, { flatten: true }).flatMap((one) =>
    one.address !== undefined && one.address.includes('@')
      ? [{ name: decodeWords(one.name).replace(/\s+/g, ' ').trim(), address: one.address.trim() }]
      : [],
  );
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** RFC 5322 §4.3: names of zones that old messages have, in hours from UTC; others are UTC. */
const ZONES: Readonly<Record<string, number>> = {
  ...{ est: -5, edt: -4, cst: -6, cdt: -5, mst: -7, mdt: -6, pst: -8, pdt: -7 },
};

const DATE =
  /(\d{1,2})\s+([A-Za-z]{3})[a-z]*\s+(\d{2,4})\s+(\d{1,2}):(\d\d)(?::(\d\d))?\s*(?:([+-])(\d\d)(\d\d)|([A-Za-z]+))?/;

/** A date of RFC 5322 §3.3 or §4.3 as milliseconds since 1970; undefined for what is none. */
export function parseMailDate(text: string): number | undefined {
  const found = DATE.exec(text);
  if (!found) return undefined;
  const [, day, monthName = '', yearText = '', hour, minute, second = '0', sign, hours, minutes, zone] =
    found;
  const month = MONTHS.indexOf(monthName.toLowerCase()) + 1;
  if (month === 0) return undefined;
  const year = fullYear(Number(yearText), yearText.length);
  const offset =
    sign === undefined
      ? (ZONES[zone?.toLowerCase() ?? ''] ?? 0) * 60
      : (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes));
  const days = dayNumberOf(year, month, Number(day));
  return ((days * 24 + Number(hour)) * 60 + Number(minute) - offset) * 60_000 + Number(second) * 1000;
}

/** RFC 5322 §4.3: two digits are 2000 to 2049 or 1950 to 1999, three count from 1900. */
function fullYear(year: number, digits: number): number {
  if (digits === 2) return year < 50 ? 2000 + year : 1900 + year;
  return digits === 3 ? 1900 + year : year;
}

/** Octets that are no UTF-8 as ISO 8859-1, as old messages have them. */
function fromLatin1(octets: Uint8Array): string {
  let text = '';
  for (const octet of octets) text += String.fromCharCode(octet);
  return text;
}
