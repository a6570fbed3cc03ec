import { hashText } from '@/core/base';
import { normalizeAddress, type Uid } from '@/core/card';

import type { Talk } from '../talk';
import type { Mailbox, MailHead } from './readMailHead';

/** A moment as the user's clock shows it. */
export interface OwnMoment {
  /** ISO 8601 calendar date. */
  readonly day: string;
  /** HH:MM. */
  readonly time: string;
}

/** What a message is matched with. */
export interface TalkMatcher {
  /** The user's own addresses, normalized. */
  readonly own: ReadonlySet<string>;
  /** Whose address one is; several cards may share it. */
  readonly uidsOf: (address: string) => readonly Uid[];
  /** @param ms - milliseconds since 1970 */
  readonly toOwnMoment: (ms: number) => OwnMoment;
  /** The import that it comes with. */
  readonly intake: string;
}

/** What a message amounts to: a talk, and the addresses that were written to and have no card. */
export interface Correspondence {
  /** With nobody where no address of it has a card. */
  readonly talk: Talk;
  readonly unfiled: readonly Mailbox[];
}

/**
 * A message as a talk: out where the user wrote it, else in. Its id is made of the Message-ID, so that the same message
 * is the same talk however often it is read.
 *
 * @param said - the text, where it is wanted
 */
export function toCorrespondence(mail: MailHead, matcher: TalkMatcher, said = ''): Correspondence {
  const { own, uidsOf } = matcher;
  const isOut = mail.from.some(({ address }) => own.has(normalizeAddress(address)));
  const others = (isOut ? [...mail.to, ...mail.cc, ...mail.bcc] : mail.from).filter(
    ({ address }) => !own.has(normalizeAddress(address)),
  );
  const people = new Set<Uid>();
  const unfiled = new Map<string, Mailbox>();
  for (const mailbox of others) {
    const address = normalizeAddress(mailbox.address);
    const uids = uidsOf(address);
    for (const uid of uids) people.add(uid);
    if (uids.length === 0 && isOut) unfiled.set(address, mailbox);
  }
  const { day, time } = matcher.toOwnMoment(mail.atMs);
  const talk: Talk = {
    ...{ id: idOf(mail), kind: 'mail', day, time, direction: isOut ? 'out' : 'in' },
    ...{ with: [...people], said, intake: matcher.intake },
    ...(mail.subject === '' ? {} : { about: mail.subject }),
  };
  return { talk, unfiled: [...unfiled.values()] };
}

/** A message without a Message-ID is known by when, from whom and about what it was. */
function idOf({ messageId, atMs, from, subject }: MailHead): string {
  const known = messageId === '' ? `${atMs} ${from[0]?.address ?? ''} ${subject}` : messageId;
  return `m-${hashText(known)}`;
}
