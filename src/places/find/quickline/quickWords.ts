import type { QuickVerb } from '@/core/find';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/quickline';

/** Our words for the acts beside what was found. */
export const QUICK_WORDS: Readonly<Record<QuickVerb, string>> = {
  call: texts.call,
  write: texts.write,
  message: texts.message,
  talk: shared.noteTalk,
  edit: texts.edit,
  way: texts.directions,
  copy: texts.copy,
  pin: texts.pin,
};
