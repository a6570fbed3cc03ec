import { nameParts } from '../name/nameParts';
import type { Card } from '../schema/types';

/** Days that are greeted. */
export type GreetedKind = 'birth' | 'wedding';

/** The greeting by language: for a birthday, for a wedding day. Common practice; from memory. */
const WORDS: Readonly<Record<string, readonly [birth: string, wedding: string]>> = {
  en: ['Happy birthday', 'Happy anniversary'],
  de: ['Herzlichen Glückwunsch zum Geburtstag', 'Herzlichen Glückwunsch zum Hochzeitstag'],
  fr: ['Joyeux anniversaire', 'Joyeux anniversaire de mariage'],
  it: ['Buon compleanno', 'Buon anniversario'],
  es: ['Feliz cumpleaños', 'Feliz aniversario'],
  pt: ['Feliz aniversário', 'Feliz aniversário de casamento'],
  nl: ['Van harte gefeliciteerd met je verjaardag', 'Van harte gefeliciteerd met jullie trouwdag'],
  sv: ['Grattis på födelsedagen', 'Grattis på bröllopsdagen'],
  nb: ['Gratulerer med dagen', 'Gratulerer med bryllupsdagen'],
  no: ['Gratulerer med dagen', 'Gratulerer med bryllupsdagen'],
  da: ['Tillykke med fødselsdagen', 'Tillykke med bryllupsdagen'],
  fi: ['Hyvää syntymäpäivää', 'Hyvää hääpäivää'],
  pl: ['Wszystkiego najlepszego z okazji urodzin', 'Wszystkiego najlepszego z okazji rocznicy ślubu'],
  cs: ['Všechno nejlepší k narozeninám', 'Všechno nejlepší k výročí svatby'],
  ja: ['お誕生日おめでとうございます', '結婚記念日おめでとうございます'],
  zh: ['生日快乐', '结婚纪念日快乐'],
  ko: ['생일 축하합니다', '결혼기념일을 축하합니다'],
  ru: ['С днём рождения', 'С годовщиной свадьбы'],
  el: ['Χρόνια πολλά', 'Χρόνια πολλά για την επέτειό σας'],
  tr: ['Doğum gününüz kutlu olsun', 'Evlilik yıl dönümünüz kutlu olsun'],
};

/** A greeting in the language the card prefers, in English where that isn't known here: "Joyeux anniversaire, Luc!". */
export function greetingFor(card: Card, kind: GreetedKind): string {
  const language = languageOf(card, WORDS);
  const [birth, wedding] = WORDS[language] ?? ['', ''];
  const given = nameParts(card.name, 'given');
  const words = kind === 'birth' ? birth : wedding;
  if (given === '' || language === 'ja' || language === 'zh' || language === 'ko') return `${words}!`;
  return `${words}, ${given}!`;
}

/** The language that a card prefers of some, by its first subtag; English where it prefers none of them. */
export function languageOf(card: Card, known: Readonly<Record<string, unknown>>): string {
  const languages = Object.values(card.preferredLanguages ?? {})
    .sort((a, b) => (a.pref ?? 101) - (b.pref ?? 101))
    .map(({ language }) => language.toLowerCase().split('-')[0] ?? '');
  return languages.find((one) => Object.hasOwn(known, one)) ?? 'en';
}
