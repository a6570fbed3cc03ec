import { createHash } from 'node:crypto';

import { writeMessage } from '@/core/write';

import type { MailAddress, ReadMail } from './mailbox';

/** How many of a hundred recipients answer. */
const ANSWER_PERCENT = 60;
/** Seconds until somebody answers: at the soonest, and how many more at most. */
const [SOONEST_S, SPREAD_S] = [12, 60];

const OPENINGS = [
  'Thank you for writing.',
  'Many thanks, that reached me at a good moment.',
  'Good to hear from you.',
  'Thanks for letting me know.',
] as const;
const MIDDLES = [
  'I will look at it this week and come back to you.',
  'That suits me well; let us talk about the details on the telephone.',
  'I am away until Monday, and will answer properly then.',
  'Could we meet for half an hour to go through it?',
  'Yes, gladly. Please count me in.',
] as const;

/** A reply that somebody will write. */
export interface Reply {
  readonly from: MailAddress;
  readonly subject: string;
  readonly message: string;
  /** Seconds from now. */
  readonly inS: number;
}

/**
 * What a message's recipients will answer: by rule, so that the same message has the same answers. Nobody answers a
 * message that is an answer itself twice over, and machines don't answer.
 *
 * @param date - RFC 5322 §3.3, of the reply
 */
export function repliesTo(
  mail: ReadMail & { readonly from: MailAddress },
  date: (inS: number) => string,
): Reply[] {
  if (/^(?:Re: ){2}/.test(mail.subject)) return [];
  return mail.to.flatMap((one): Reply[] => {
    const dice = createHash('sha256').update(`${mail.messageId} ${one.address}`).digest();
    const roll = (at: number, sides: number) => (dice[at] ?? 0) % sides;
    if (/^no-?reply@/i.test(one.address) || roll(0, 100) >= ANSWER_PERCENT) return [];
    const name = one.name === '' ? nameIn(one.address) : one.name;
    const inS = SOONEST_S + roll(1, SPREAD_S);
    const subject = /^Re: /i.test(mail.subject) ? mail.subject : `Re: ${mail.subject}`;
    const number = `020 7946 0${String(100 + roll(2, 200) * 4)}`;
    const signature = roll(3, 3) === 0 ? [name, `Tel. ${number}`] : [name];
    const quoted = mail.text
      .trim()
      .split('\n')
      .map((line) => `> ${line}`);
    const body = [
      `${OPENINGS[roll(4, OPENINGS.length)]} ${MIDDLES[roll(5, MIDDLES.length)]}`,
      ...['', 'Kind regards,', '', '-- ', ...signature, ''],
      ...quoted,
    ].join('\n');
    const message = writeMessage(
      { to: [mail.from], cc: [], bcc: [], subject, body },
      {
        from: { name, address: one.address },
        date: date(inS),
        messageId: `${dice.toString('hex').slice(0, 24)}@mailbox.example`,
      },
    );
    return [{ from: { name, address: one.address }, subject, message, inS }];
  });
}

/** "ada.lowther@…" → "Ada Lowther". */
export function nameIn(address: string): string {
  return (address.split('@')[0] ?? '')
    .split(/[._-]+/)
    .map((word) => word.charAt(0).toUpperCase() + word.slice(1))
    .join(' ');
}
