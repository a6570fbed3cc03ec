import type { QuickVerb } from '@/core/find';

/** Our words for the acts beside what was found. */
export const QUICK_WORDS: Readonly<Record<QuickVerb, string>> = {
  call: 'Call',
  write: 'Write',
  message: 'Message',
  talk: 'Note a talk',
  edit: 'Edit',
  way: 'Directions',
  copy: 'Copy',
  pin: 'Pin',
};
