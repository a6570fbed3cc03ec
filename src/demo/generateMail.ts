import { addDays } from '@/core/base';
import { type Card, nameParts, shownAs } from '@/core/card';
import { mailDate } from '@/core/write';

import { generateBook } from './generateBook';
import { OWN_ADDRESS, OWN_NAME, STRANGERS, STRANGERS_WRITE, SUBJECTS } from './mail.data';
import { Dice } from './random';
import { SAID } from './said.data';

const SEED = 4711;
/** Days of mail and of appointments that the mailbox and the calendar hold. */
const DAYS = 21;
const MESSAGES = 60;
const APPOINTMENTS = 8;

/**
 * The mailbox of the festival's director: the mail of the last three weeks as an mbox (RFC 4155), to and from people of
 * the book, and to some who have no card. The same every time for the same day.
 *
 * @param today - 2026-11-24
 */
export function generateMail(today: string): string {
  const dice = new Dice(SEED);
  const people = generateBook(today).filter(({ emails, kind }) => emails && kind !== 'group');
  const known = Array.from({ length: MESSAGES }, (_, i) => {
    const card = dice.pick(people);
    const address = Object.values(card.emails ?? {})[0]?.address ?? '';
    return message(
      { ...momentOf(today, dice), other: [shownAs(card), address], isOut: i % 3 !== 0 },
      i,
      dice,
    );
  });
  const strangers = STRANGERS.flatMap(([name, address, count], i) =>
    Array.from({ length: count }, (_, k) =>
      message({ ...momentOf(today, dice), other: [name, address], isOut: true }, 1000 + i * 20 + k, dice),
    ),
  );
  return [...known, ...strangers, ...signedMail(today, people, dice)].join('\n');
}

/**
 * A few messages from people who have no card, with what a card could say of them in their signatures: an mbox (RFC 4155).
 *
 * @param today - 2026-11-24
 */
export function generateStrangersMail(today: string): string {
  return STRANGERS_WRITE.map(({ name, address, subject, text }, i) => {
    const day = addDays(today, -1 - i);
    const head = [
      `From ${address} ${asctime(day, '09:40:00')}`,
      `Message-ID: <stranger-${i}@${address.split('@')[1] ?? ''}>`,
      `Date: ${dateOf(day, '09:40:00')}`,
      `From: ${mailbox([name, address])}`,
      `To: ${mailbox([OWN_NAME, OWN_ADDRESS])}`,
      `Subject: ${encoded(subject)}`,
      ...['MIME-Version: 1.0', 'Content-Type: text/plain; charset=utf-8', 'Content-Transfer-Encoding: 8bit'],
    ];
    return [...head, '', ...text, ''].join('\n');
  }).join('\n');
}

/** What somebody's signature says that their card doesn't say yet. */
const SIGNED: readonly ((name: string, house: string) => readonly string[])[] = [
  (name, house) => [name, 'Head of Programming', house, 'Mobile 07700 900611'],
  (name) => [name, 'Artistic Director', 'Breakwater Sinfonia'],
  (name, house) => [name, house, 'Tel. 020 7946 0617'],
];

/** Messages of a few people whose signatures have changed. */
function signedMail(today: string, people: readonly Card[], dice: Dice): string[] {
  const plain = people.filter(
    (card) =>
      card.kind === 'individual' && card.organizations && /^[A-Z][a-z]+ [A-Z][a-z]+$/.test(shownAs(card)),
  );
  return SIGNED.flatMap((sign, i) => {
    const card = plain[i * 3];
    if (!card) return [];
    const name = shownAs(card);
    const house = Object.values(card.organizations ?? {})[0]?.name ?? '';
    const address = Object.values(card.emails ?? {})[0]?.address ?? '';
    const head = message({ ...momentOf(today, dice), other: [name, address], isOut: false }, 2000 + i, dice);
    return [`${head}\nKind regards,\n\n${sign(name, house).join('\n')}\n`];
  });
}

interface Message {
  readonly day: string;
  readonly time: string;
  readonly other: readonly [name: string, address: string];
  readonly isOut: boolean;
}

function momentOf(today: string, dice: Dice): Pick<Message, 'day' | 'time'> {
  const hour = String(8 + dice.below(10)).padStart(2, '0');
  return {
    day: addDays(today, -1 - dice.below(DAYS)),
    time: `${hour}:${dice.pick(['05', '20', '40', '55'])}:00`,
  };
}

function message({ day, time, other, isOut }: Message, index: number, dice: Dice): string {
  const [from, to] = isOut
    ? [[OWN_NAME, OWN_ADDRESS] as const, other]
    : [other, [OWN_NAME, OWN_ADDRESS] as const];
  const subject = dice.pick(SUBJECTS);
  return [
    `From ${from[1]} ${asctime(day, time)}`,
    `Message-ID: <demo-${index}@wexmere-festival.example>`,
    `Date: ${dateOf(day, time)}`,
    `From: ${mailbox(from)}`,
    `To: ${mailbox(to)}`,
    `Subject: ${encoded(subject)}`,
    'MIME-Version: 1.0',
    'Content-Type: text/plain; charset=utf-8',
    'Content-Transfer-Encoding: 8bit',
    '',
    dice.pick(SAID).replace(/\s*#\S+/g, ''),
    '',
  ].join('\n');
}

function dateOf(day: string, time: string): string {
  return mailDate(Date.parse(`${day}T${time}Z`));
}

/** RFC 4155: the time of the "From " line as C's asctime() writes it. */
function asctime(day: string, time: string): string {
  const [weekday, date, month, year] = dateOf(day, time).split(/,? /);
  return `${weekday} ${month} ${date} ${time} ${year}`;
}

function mailbox([name, address]: Message['other']): string {
  return /^[\w ]+$/.test(name) ? `${name} <${address}>` : `${encoded(name)} <${address}>`;
}

/** RFC 2047: encoded words where the text isn't ASCII, none of more than 75 letters. */
function encoded(text: string): string {
  if (/^[\x20-\x7e]*$/.test(text) && !/[",<>]/.test(text)) return text;
  const words: string[] = [];
  let piece = '';
  for (const letter of text) {
    if (Buffer.byteLength(piece + letter) > 42) {
      words.push(piece);
      piece = '';
    }
    piece += letter;
  }
  return [...words, piece].map((word) => `=?UTF-8?B?${Buffer.from(word).toString('base64')}?=`).join(' ');
}

/**
 * The director's calendar (RFC 5545): appointments of the last three weeks and the next, each with one or two people.
 *
 * @param today - 2026-11-24
 */
export function generateCalendar(today: string): string {
  const dice = new Dice(SEED + 1);
  const people = generateBook(today).filter(({ emails, kind }) => emails && kind === 'individual');
  const events = Array.from({ length: APPOINTMENTS }, (_, i) => {
    const day = addDays(today, i < 2 ? 3 + i * 2 : -1 - dice.below(DAYS)).replace(/-/g, '');
    const hour = String(9 + dice.below(8)).padStart(2, '0');
    const asked = Array.from({ length: 1 + (i % 2) }, () => dice.pick(people));
    return [
      'BEGIN:VEVENT',
      `UID:demo-${i}@wexmere-festival.example`,
      `DTSTAMP:${today.replace(/-/g, '')}T080000Z`,
      `DTSTART:${day}T${hour}0000Z`,
      'DURATION:PT45M',
      `SUMMARY:${dice.pick(SUBJECTS)}`,
      `ORGANIZER;CN=${OWN_NAME}:mailto:${OWN_ADDRESS}`,
      ...asked.map(attendee),
      'END:VEVENT',
    ];
  });
  const lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//cordialis.example//Demo//EN', ...events.flat()];
  return `${[...lines, 'END:VCALENDAR'].join('\r\n')}\r\n`;
}

function attendee(card: Card): string {
  const address = Object.values(card.emails ?? {})[0]?.address ?? '';
  const name = (nameParts(card.name) || shownAs(card)).replace(/["\r\n]/g, '');
  return `ATTENDEE;CN="${name}";PARTSTAT=ACCEPTED:mailto:${address}`;
}
