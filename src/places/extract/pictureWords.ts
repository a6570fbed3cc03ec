import type { PictureLanguage } from '@/core/extract/picture';
import { texts } from '@/texts/extract/picture';

/** The languages whose letters can be read, as people name them. */
export const LANGUAGE_WORDS: Readonly<Record<PictureLanguage, string>> = {
  eng: texts.english,
  deu: texts.german,
  fra: texts.french,
  spa: texts.spanish,
  ita: texts.italian,
  pol: texts.polish,
};

/** What is wrong with a picture, and what helps. */
export const FAULT_SENTENCES: ReadonlyMap<string, string> = new Map([
  ['small', texts.tooSmall],
  ['dark', texts.tooDark],
  ['pale', texts.tooPale],
  ['blurred', texts.blurred],
  ['nothing', texts.noWords],
]);
