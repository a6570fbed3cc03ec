import { nameParts } from '../name/nameParts';
import { shownAs } from '../name/shownAs';
import type { Card } from '../schema/types';
import { languageOf } from './greetingFor';

/** How a letter begins in a language: to a woman, to a man, to anybody by the whole name, to nobody in particular. */
interface Opening {
  readonly feminine: string;
  readonly masculine: string;
  readonly plain: string;
  readonly nobody: string;
}

/** By language; {n} is the surname, {f} the whole name. Common practice; from memory. */
const OPENINGS: Readonly<Record<string, Opening>> = {
  en: { feminine: 'Dear Ms {n}', masculine: 'Dear Mr {n}', plain: 'Dear {f}', nobody: 'Dear Sir or Madam' },
  de: {
    ...{ feminine: 'Sehr geehrte Frau {n}', masculine: 'Sehr geehrter Herr {n}' },
    ...{ plain: 'Guten Tag {f}', nobody: 'Sehr geehrte Damen und Herren' },
  },
  fr: { feminine: 'Madame {n}', masculine: 'Monsieur {n}', plain: 'Bonjour {f}', nobody: 'Madame, Monsieur' },
  es: {
    ...{ feminine: 'Estimada Sra. {n}', masculine: 'Estimado Sr. {n}' },
    ...{ plain: 'Buenos días, {f}', nobody: 'Estimados señores' },
  },
  it: {
    ...{ feminine: 'Gentile Signora {n}', masculine: 'Gentile Signor {n}' },
    ...{ plain: 'Buongiorno {f}', nobody: 'Gentili Signori' },
  },
  nl: {
    feminine: 'Geachte mevrouw {n}',
    masculine: 'Geachte heer {n}',
    plain: 'Beste {f}',
    nobody: 'Geachte lezer',
  },
  pt: {
    ...{ feminine: 'Exma. Sra. {n}', masculine: 'Exmo. Sr. {n}' },
    ...{ plain: 'Bom dia, {f}', nobody: 'Exmos. Senhores' },
  },
  pl: {
    feminine: 'Szanowna Pani',
    masculine: 'Szanowny Panie',
    plain: 'Dzień dobry',
    nobody: 'Szanowni Państwo',
  },
  sv: { feminine: 'Hej {f}', masculine: 'Hej {f}', plain: 'Hej {f}', nobody: 'Hej' },
  ja: { feminine: '{f}様', masculine: '{f}様', plain: '{f}様', nobody: 'ご担当者様' },
};

/**
 * How a letter to somebody begins: in the language the card prefers, by its grammatical gender or its pronouns where it
 * says them; a title such as Dr. takes the place of the courtesy in English and stands before the name elsewhere.
 */
export function salutationFor(card: Card): string {
  const language = languageOf(card, OPENINGS);
  const opening = OPENINGS[language] ?? OPENINGS['en'];
  if (!opening) return '';
  const whole = shownAs(card);
  const surname = [nameParts(card.name, 'surname'), nameParts(card.name, 'surname2')]
    .filter(Boolean)
    .join(' ');
  if (whole === '' || card.kind === 'org') return opening.nobody;
  const gender = surname === '' ? undefined : genderOf(card);
  const title = nameParts(card.name, 'title');
  if (gender && title !== '' && language === 'en') return `Dear ${title} ${surname}`;
  const name = title !== '' && language === 'de' ? `${title} ${surname}` : surname;
  return (gender ? opening[gender] : opening.plain).replace('{n}', name).replace('{f}', whole);
}

/** Pronouns that say a gender, in the languages above. */
const FEMININE = /^(she|sie|elle|ella|lei|zij|ela|ona|hon)\b/i;
const MASCULINE = /^(he|er|il|él|lui|hij|ele|on|han)\b/i;

function genderOf({ speakToAs }: Card): 'feminine' | 'masculine' | undefined {
  const { grammaticalGender, pronouns } = speakToAs ?? {};
  if (grammaticalGender === 'feminine' || grammaticalGender === 'masculine') return grammaticalGender;
  if (grammaticalGender !== undefined) return undefined;
  const said = Object.values(pronouns ?? {})[0]?.pronouns ?? '';
  if (FEMININE.test(said)) return 'feminine';
  return MASCULINE.test(said) ? 'masculine' : undefined;
}
