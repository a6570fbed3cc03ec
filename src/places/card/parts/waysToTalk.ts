import type { TalkKind } from '@/core/talks';
import { texts } from '@/texts/card/talk';
import { type Icon, Mail, MessageSquare, Phone } from '@/ui';

/** A way of reaching somebody that becomes a talk. */
export interface WayToTalk {
  readonly way: 'call' | 'message' | 'write';
  readonly label: string;
  /** For screen readers, where the word has no room. */
  readonly nameOf: (name: string) => string;
  readonly icon: Icon;
  readonly kind: TalkKind;
}

/** The likeliest first. */
export const WAYS_TO_TALK: readonly WayToTalk[] = [
  { way: 'call', label: texts.call, nameOf: texts.callNamed, icon: Phone, kind: 'call' },
  { way: 'message', label: texts.message, nameOf: texts.messageNamed, icon: MessageSquare, kind: 'message' },
  { way: 'write', label: texts.write, nameOf: texts.writeNamed, icon: Mail, kind: 'mail' },
];
