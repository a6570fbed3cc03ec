import type { Direction, TalkKind } from '@/core/talks';
import { Handshake, type Icon, Mail, MessageSquare, PenLine, Phone } from '@/ui';

/** Our words for the kinds of talks. */
export const KIND_WORDS: Readonly<Record<TalkKind, string>> = {
  meeting: 'Meeting',
  call: 'Call',
  letter: 'Letter',
  message: 'Message',
  mail: 'Mail',
};

/** Their icons. */
export const KIND_ICONS: Readonly<Record<TalkKind, Icon>> = {
  meeting: Handshake,
  call: Phone,
  letter: PenLine,
  message: MessageSquare,
  mail: Mail,
};

/** Who began it. */
export const DIRECTION_WORDS: Readonly<Record<Direction, string>> = {
  out: 'I began',
  in: 'They began',
  both: 'Both',
};

/** The same in the middle of a line. */
export const DIRECTION_SAID: Readonly<Record<Direction, string>> = {
  out: 'I began',
  in: 'they began',
  both: 'both',
};
