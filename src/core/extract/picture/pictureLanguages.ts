/** The languages whose letters can be read in pictures (ISO 639-2/T). */
export type PictureLanguage = 'eng' | 'deu' | 'fra' | 'spa' | 'ita' | 'pol';

/** By country (ISO 3166-1 alpha-2): the languages that cards there are in, the likeliest first. */
const LANGUAGES_OF: Readonly<Record<string, readonly PictureLanguage[]>> = {
  ...{ GB: ['eng'], IE: ['eng'], US: ['eng'], CA: ['eng', 'fra'], AU: ['eng'], NZ: ['eng'], ZA: ['eng'] },
  ...{ DE: ['deu'], AT: ['deu'], CH: ['deu', 'fra', 'ita'], LI: ['deu'], LU: ['fra', 'deu'] },
  ...{ FR: ['fra'], BE: ['fra'], IT: ['ita'], SM: ['ita'], PL: ['pol'] },
  ...{ ES: ['spa'], MX: ['spa'], AR: ['spa'], CL: ['spa'], CO: ['spa'], PE: ['spa'], UY: ['spa'] },
};

/** Where most cards in a language are from; of English nobody can tell. */
const HOME_OF: Readonly<Partial<Record<PictureLanguage, string>>> = {
  ...{ deu: 'DE', fra: 'FR', spa: 'ES', ita: 'IT', pol: 'PL' },
};

/** The language that a card met in a country is likeliest in; English where nothing is known. */
export function languageOfCards(country: string): PictureLanguage {
  return LANGUAGES_OF[country]?.[0] ?? 'eng';
}

/** By whose plan the numbers of a card are read: the user's country where its language is spoken, else the language's. */
export function countryOfCard(language: PictureLanguage, country: string): string | undefined {
  return LANGUAGES_OF[country]?.includes(language) === true ? country : HOME_OF[language];
}
