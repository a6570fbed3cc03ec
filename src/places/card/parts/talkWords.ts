import type { Direction, TalkKind } from '@/core/talks';
import { texts } from '@/texts/card/parts';
import { Handshake, type Icon, Mail, MessageSquare, PenLine, Phone } from '@/ui';

/** Our words for the kinds of talks. */
export const KIND_WORDS: Readonly<Record<TalkKind, string>> = {
  meeting: texts.meeting,
  call: texts.call,
  letter: texts.letter,
  message: texts.message,
  mail: texts.mail,
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
  out: texts.iBegan,
  in: texts.theyBegan,
  both: texts.both,
};

/** The same in the middle of a line. */
export const DIRECTION_SAID: Readonly<Record<Direction, string>> = {
  out: texts.iBegan,
  in: texts.theyBeganWord,
  both: texts.bothWord,
};

/** What draws each of the kinds in a chart, in their order; a legend and a table name them as well. */
export const KIND_TONES = ['berry', 'moss', 'ink', 'ochre', 'faded'] as const;
