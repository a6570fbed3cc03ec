import { strictWords } from '@/core/base';

import { latinWords } from './latinWords';

/** What firms are by law, in several countries (common practice); a firm is the same with and without it. */
const LEGAL_FORMS = new Set(
  'ltd limited ltda llc llp inc incorporated corp corporation plc gmbh ag kg ohg gbr ug ev eg se sa sas sarl spa srl snc sl slu lda bv nv ab as asa oy oyj aps sro zoo spzoo kft doo ooo pty pte sti co company cie the'.split(
    ' ',
  ),
);

/** The words of an organisation's name in Latin letters without its legal form; all of them where it has no other. */
export function organisationWords(name: string): string[] {
  return withoutForm(latinWords(withWords(name)));
}

/** By which organisations are the same: the words of their names, without the legal form. */
export function organisationKey(name: string): string {
  return withoutForm(strictWords(withWords(name))).join(' ');
}

function withWords(name: string): string {
  return name.replace(/\b([a-z])\.(?=[a-z]\b|\s|$)/gi, '$1').replace(/&|\+/g, ' and ');
}

/** Forms of several words, of Poland, Czechia, Slovakia, France and Luxembourg. */
const LONG_FORM = / (?:sp(?:olka)? z o ?o|spol s r ?o|s a r ?l) /;

function withoutForm(words: string[]): string[] {
  const text = ` ${words.join(' ')} `;
  const short = LONG_FORM.test(text) ? text.replace(LONG_FORM, ' ').trim().split(' ') : words;
  const kept = short.filter((word) => word !== '' && !LEGAL_FORMS.has(word));
  // What joins a name to its legal form: "& Co".
  while (kept.length > 1 && ['and', 'und', 'et', 'y', 'e'].includes(kept.at(-1) ?? '')) kept.pop();
  return kept.length > 0 ? kept : words;
}
