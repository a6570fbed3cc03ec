import { foldText } from '@/core/base';

/** Words that tell a language, folded, and the countries where it is at home, the most likely first. */
const LANGUAGES: readonly { readonly words: ReadonlySet<string>; readonly countries: readonly string[] }[] = [
  of(
    'DE AT CH LI LU',
    `und der die das mit fur von grusse grussen grusse gmbh ev strasse platz leiter leiterin abteilung telefon handy mobil
     durchwahl geschaftsfuhrer geschaftsfuhrerin anschrift postfach herr frau universitat stadt verein haus uhr privat sprechzeiten praxis arzt montag dienstag mittwoch donnerstag freitag
     impressum kontakt vertreten reservierung redakteurin redakteur gesellschaft stiftung`,
  ),
  of(
    'FR BE CH LU MC CA',
    `et le la les des du rue tel portable cordialement directeur directrice responsable societe sarl sas avenue bonjour
     bien vous telephone telecopie siret place mentions legales charge chargee theatre cabinet service quai association boulevard bonne journee
     agence chef projet bis ecole centre maison compagnie orchestre salutations chemin`,
  ),
  of(
    'ES MX AR CL CO PE UY VE EC',
    `y el la los las del calle telefono movil saludo saludos avenida plaza gerente ayuntamiento departamento sociedad cel
     correo direccion atentamente empresa fundacion de orquesta musica provincia`,
  ),
  of(
    'IT CH SM',
    `e il la di del della delle via piazza corso saluti cordiali tel cell telefono ufficio direttore responsabile studio
     iva partita sede viale avv dott distinti teatro fondazione societa bottega liuteria`,
  ),
  of(
    'NL BE',
    `en de het van met vriendelijke groet groeten straat kade laan plein telefoon mobiel gsm kvk btw stichting hoofd
     zakelijk leider muziekschool afdeling adres bezoekadres postbus bv`,
  ),
  of(
    'PL',
    `i w z ul al os tel kom powazaniem pozdrawiam dyrektor kierownik kierowniczka dzial nip regon krs fundacja spolka zoo
     biuro adres urzad polska`,
  ),
  of(
    'PT BR AO MZ',
    `e o os da do dos das rua avenida tel telemovel telefone cumprimentos melhores diretor diretora nif lda ltda cel
     atenciosamente morada praca empresa fundacao estudio camara`,
  ),
  of(
    'SE FI',
    `och i med vanlig vanliga halsning halsningar tel mobil ab gatan torg vagen org besoksadress postadress kommun
     avdelning ansvarig verksamhetsansvarig mvh telefon vaxel stiftelsen foreningen`,
  ),
];

function of(countries: string, words: string) {
  return { countries: countries.split(' '), words: new Set(words.split(/\s+/)) };
}

/** Words that must speak for a language before its country is taken. */
const ENOUGH = 2;

/** Small words of English. */
const ENGLISH = new Set(
  'the you your for and of to with our is are at by from thank thanks best kind regards wishes sincerely this'.split(
    ' ',
  ),
);

/**
 * The country whose habits a text most likely follows by its language: the reader's, if the language is at home there.
 *
 * @returns undefined for a text in English, or one too short to tell
 */
export function countryByLanguage(text: string, reader: string | undefined): string | undefined {
  const words = foldText(text).match(/\p{L}+/gu) ?? [];
  const endings = [
    [/(?:strasse|str|gasse|platz|werkstatt|weg|praxis)$/, 0],
    [/(?:straat|gracht|kade|plein)$/, 4],
    [/(?:gatan|vagen|forvaltningen)$/, 7],
  ] as const;
  const scores = LANGUAGES.map(
    (language, i) =>
      new Set(words.filter((word) => language.words.has(word))).size +
      (endings.some(([ending, at]) => at === i && words.some((word) => ending.test(word))) ? ENOUGH : 0),
  );
  const best = Math.max(...scores);
  // "For" and "tel" are Swedish as well: where English says as much, it is English.
  if (new Set(words.filter((word) => ENGLISH.has(word))).size >= best) return undefined;
  const found = LANGUAGES[scores.indexOf(best)];
  if (best < ENOUGH || !found || scores.filter((score) => score === best).length > 1) return undefined;
  return reader !== undefined && found.countries.includes(reader) ? reader : found.countries[0];
}
