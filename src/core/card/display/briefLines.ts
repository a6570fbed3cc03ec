import { DAY_NAMES, toPartialDate } from '@/core/base';
import { texts } from '@/texts/card/display';

import { type LeapDayRule, nextAnniversary } from '../dates/nextAnniversary';
import { relationLabel } from '../relations/relationWords';
import type { Card } from '../schema/types';

/** One line of a brief: what to know before talking to somebody. */
export interface BriefLine {
  readonly label: string;
  readonly text: string;
}

/** What a brief is made from beside the card. */
export interface BriefOptions {
  /** ISO 8601 calendar date where the user is. */
  readonly today: string;
  readonly leapDay: LeapDayRule;
  /** Another card. */
  readonly cardOf: (uid: string) => Card | undefined;
  readonly nameOf: (uid: string) => string | undefined;
  /** IANA time zone where they are, and the time there now; both '' while that is looked up, undefined where it isn't known. */
  readonly there?: { readonly zone: string; readonly now: string } | undefined;
  /** What was said last, in the simple formatting of notes. */
  readonly lastSaid?: string | undefined;
  /** What has changed on the card since the last talk: "mail, post". */
  readonly news?: string | undefined;
}

/** Days ahead at which a day of the year is worth knowing. */
const NEAR_DAYS = 21;

/** Letters of what was said last. */
const SAID_LENGTH = 140;

/**
 * What matters before talking to somebody: what was said last, the day, the family, the interests, the time there,
 * what is new.
 */
export function briefLines(card: Card, options: BriefOptions): BriefLine[] {
  const { lastSaid = '', there, news = '' } = options;
  const lines = [
    { label: texts.lastSaid, text: firstLine(lastSaid) },
    { label: texts.soon, text: nearDays(card, options).join(', ') },
    { label: texts.family, text: familyOf(card, options) },
    { label: texts.interests, text: interestsOf(card) },
    { label: texts.localTime, text: there ? (there.zone === '' ? '…' : `${there.now} (${there.zone})`) : '' },
    { label: texts.new, text: news },
  ];
  return lines.filter(({ text }) => text !== '');
}

/** The first paragraph without its marks, shortened at a word. */
function firstLine(said: string): string {
  const plain = (said.split(/\n\s*\n/)[0] ?? '')
    .replace(/\[([^\]]*)\]\([^)]*\)/g, '$1')
    .replace(/[*_]{1,2}/g, '')
    .replace(/\s+/g, ' ')
    .trim();
  if (plain.length <= SAID_LENGTH) return plain;
  const cut = plain.slice(0, SAID_LENGTH);
  return `${cut.slice(0, Math.max(cut.lastIndexOf(' '), SAID_LENGTH / 2))} …`;
}

/** The days of a card that come round soon: "birthday in 3 days, 60 years". The dead have none. */
function nearDays(card: Card, { today, leapDay }: BriefOptions): string[] {
  const days = Object.values(card.anniversaries ?? {});
  if (days.some(({ kind }) => kind === 'death')) return [];
  return days.flatMap(({ kind, date }) => {
    const next = nextAnniversary(toPartialDate(date), today, leapDay);
    if (!next || next.daysAway > NEAR_DAYS) return [];
    const day = DAY_NAMES[kind] ?? texts.anniversary;
    const when = next.daysAway === 0 ? texts.today : texts.inDays(next.daysAway);
    return next.years === undefined ? texts.comes(day, when) : texts.comesWithYears(day, when, next.years);
  });
}

/** Relations of RFC 6350 §6.6.6 that are family. */
const FAMILY = ['spouse', 'child', 'parent', 'sibling', 'kin', 'sweetheart', 'date'];

function familyOf(card: Card, options: BriefOptions): string {
  return Object.entries(card.relatedTo ?? {})
    .flatMap(([uid, { relation = {} }]) => {
      if (!FAMILY.some((one) => relation[one] === true)) return [];
      const other = options.cardOf(uid);
      const near = other ? nearDays(other, options) : [];
      const name = options.nameOf(uid) ?? uid;
      return `${relationLabel(relation)} ${name}${near.length === 0 ? '' : ` (${near.join(', ')})`}`;
    })
    .join('; ');
}

function interestsOf(card: Card): string {
  return Object.values(card.personalInfo ?? {})
    .map(({ value }) => value)
    .join(', ');
}
