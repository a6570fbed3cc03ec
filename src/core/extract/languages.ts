import { foldText } from '@/core/base';

import { POSTS } from './whoWords.data';

interface Language {
  readonly words: ReadonlySet<string>;
  readonly countries: readonly string[];
  /** Letters that hardly any other language has; one word is then enough. */
  readonly letters?: RegExp;
}

/** Words that tell a language, folded, and the countries where it is at home, the most likely first. */
const LANGUAGES: readonly Language[] = [
  of(
    'DE AT CH LI LU',
    `ist ich meine mein neue neuer nummer nicht mehr freundlichen freundliche beste besten viele herzliche am im ein eine bin hier zur zum fon telefax rechnung bestellung und der die das mit fur von grusse grussen grusse gmbh ev strasse platz leiter leiterin abteilung telefon handy mobil
     durchwahl geschaftsfuhrer geschaftsfuhrerin anschrift postfach herr frau universitat stadt verein haus uhr privat sprechzeiten praxis arzt montag dienstag mittwoch donnerstag freitag
     impressum kontakt vertreten reservierung redakteurin redakteur gesellschaft stiftung`,
  ),
  of(
    'FR BE CH LU MC CA',
    `est c je suis mon nous pour dans avec ce sur au aux une un ne pas plus nouveau numero facture ici merci cordiales port poste telecopieur et le la les des du rue tel portable cordialement directeur directrice responsable societe sarl sas avenue bonjour
     bien vous telephone telecopie siret place mentions legales charge chargee theatre cabinet service quai association boulevard bonne journee
     agence chef projet bis ecole centre maison compagnie orchestre salutations chemin`,
  ),
  of(
    'ES MX AR CL CO PE UY VE EC',
    `soy mi nuevo numero es no con para un una por me llamo pedido factura cordial movil fono centralita celular hola buenas y el la los las del calle telefono movil saludo saludos avenida plaza gerente ayuntamiento departamento sociedad cel
     correo direccion atentamente empresa fundacion de orquesta musica provincia`,
  ),
  of(
    'IT CH SM',
    `sono mio nuovo numero non con per un una centralino cellulare ciao buongiorno fax ordine fattura p e il la di del della delle via piazza corso saluti cordiali tel cell telefono ufficio direttore responsabile studio
     iva partita sede viale avv dott distinti teatro fondazione societa bottega liuteria`,
  ),
  of(
    'NL BE',
    `dit is mijn nieuwe nummer ik ben niet voor op hoi dag factuur bestelling telefoonnummer hartelijke vriendelijke en de het van met vriendelijke groet groeten straat kade laan plein telefoon mobiel gsm kvk btw stichting hoofd
     zakelijk leider muziekschool afdeling adres bezoekadres postbus bv`,
  ),
  of(
    'PL',
    `moj nowy numer to jest nie juz stary dzien dobry czesc faktura zamowienie mam z tej strony wew telefon i w z ul al os tel kom powazaniem pozdrawiam dyrektor kierownik kierowniczka dzial nip regon krs fundacja spolka zoo
     biuro adres urzad polska`,
  ),
  of(
    'PT BR AO MZ',
    `o meu novo numero aqui ja nao um uma para com sou abraco obrigado obrigada ola oi cumprimentos celular fone pedido telem tlm e o os da do dos das rua avenida tel telemovel telefone cumprimentos melhores diretor diretora nif lda ltda cel
     atenciosamente morada praca empresa fundacao estudio camara`,
  ),
  of(
    'SE FI',
    `och i med vanlig vanliga halsning halsningar tel mobil ab gatan torg vagen org besoksadress postadress kommun
     avdelning ansvarig verksamhetsansvarig mvh telefon vaxel stiftelsen foreningen hej det fran jag nytt nummer`,
  ),
  of(
    'DK',
    `med venlig hilsen hilsner og tlf mobil telefon aps cvr gade vej hej jeg fra det nye nummer er afdeling kobenhavn
     forlaget teatret bedste hos hedder ps`,
    /[æøå]/iu,
  ),
  of(
    'NO',
    `med vennlig hilsen og tlf mob mobil telefon org nr gata gate gaten vei veien hei jeg fra det nye nytt nummer er
     avdeling oslo bergen forlag beste hos heter ring meg`,
    /[æøå]/iu,
  ),
  of(
    'FI',
    `ystavallisin terveisin puh puhelin matkapuhelin gsm oy oyj ry katu hei moi terveisia numero numeroni uusi tassa on ja
     olen tunnus faksi kunnioittaen nimeni`,
    /[äö]/iu,
  ),
  of(
    'CZ SK',
    `pozdravem uctou zdravim tel telefon mobil mob ico dic ulice nam praha brno dobry den tady sro ceska republika
     cislo nove vedouci reditel reditelka divadlo prejeme dekuji`,
    /[ěůřčšžý]/iu,
  ),
  of(
    'HU',
    `udvozlettel tisztelettel tel telefon mobil utca ut ter kft zrt bt budapest szia vagyok uj szamom igazgato az
     magyarorszag adoszam koszonettel`,
    /[őű]/iu,
  ),
  of(
    'RO MD',
    `stima respect tel telefon mobil fax str strada nr bd bulevardul bucuresti srl buna ziua sunt noul meu numar
     zi salut numesc lucrez cui si`,
    /[șțşţă]/iu,
  ),
  of(
    'TR CY',
    `saygilarimla saygilarimizla sevgiler iyi calismalar tel cep faks cad caddesi sok sokak no mah mahallesi ltd sti
     istanbul ankara izmir merhaba ben yeni numaram adim ve turkiye`,
    /[ığşİ]/u,
  ),
];

function of(countries: string, words: string, letters?: RegExp): Language {
  return {
    countries: countries.split(' '),
    words: new Set(words.split(/\s+/)),
    ...(letters ? { letters } : {}),
  };
}

/** By country: the words for what people do, in its language. */
const POSTS_BY_COUNTRY: ReadonlyMap<string, RegExp> = new Map(
  Object.entries({
    ...{ DE: 'de', FR: 'fr', ES: 'es', IT: 'it', NL: 'nl', PL: 'pl', PT: 'pt', SE: 'sv', DK: 'da', NO: 'no' },
    ...{ FI: 'fi', CZ: 'cs', HU: 'hu', RO: 'ro', TR: 'tr' },
  }).map(([country, language]) => [
    country,
    new RegExp(
      String.raw`(?:^|[\s,])(?:${[POSTS[language], ...(language === 'no' ? [POSTS['da']] : [])].join('|')})(?=$|[\s,])`,
      'iu',
    ),
  ]),
);

/** The country in whose language alone a text names a post; undefined where several do. */
function countryOfPost(text: string): string | undefined {
  const found = [...POSTS_BY_COUNTRY].filter(([, posts]) => posts.test(text));
  return found.length === 1 ? found[0]?.[0] : undefined;
}

/** Words of many languages: two of them say no more than one other. */
const WEAK = new Set(
  'tel fax mobil mob gsm telefon telefax ltd org nr no email cel de la en mon association port place charge centre service avenue telephone portable mentions boulevard studio director sector hotel'.split(
    ' ',
  ),
);

/** How many words of a text are of a language. */
function wordsOf(text: readonly string[], language: ReadonlySet<string>): number {
  let sum = 0;
  for (const word of new Set(text)) if (language.has(word)) sum += WEAK.has(word) ? 0.5 : 1;
  return sum;
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
  // Addresses on the net are of no language, and a letter alone is of many.
  const words =
    foldText(text.replace(/\S*[@/]\S*|www\.\S+|\b\S+\.\w{2,4}\b/g, ' ')).match(/\p{L}{2,}/gu) ?? [];
  const endings = [
    [/(?:strasse|str|gasse|allee|platz|werkstatt|weg|praxis)$/, 0],
    [/(?:straat|gracht|kade|plein)$/, 4],
    [/(?:gatan|vagen|forvaltningen)$/, 7],
  ] as const;
  const ofPost = countryOfPost(text);
  const scores = LANGUAGES.map(
    (language, i) =>
      wordsOf(words, language.words) +
      (endings.some(([ending, at]) => at === i && words.some((word) => ending.test(word))) ? ENOUGH : 0) +
      (language.letters?.test(text) === true && words.some((word) => language.words.has(word)) ? 1 : 0) +
      (ofPost !== undefined && language.countries[0] === ofPost ? 1 : 0),
  );
  const best = Math.max(...scores);
  // "For" and "tel" are Swedish as well: where English says as much, it is English.
  if (new Set(words.filter((word) => ENGLISH.has(word))).size >= best) return undefined;
  const found = LANGUAGES[scores.indexOf(best)];
  if (best < ENOUGH || !found || scores.filter((score) => score === best).length > 1) return undefined;
  return reader !== undefined && found.countries.includes(reader) ? reader : found.countries[0];
}
