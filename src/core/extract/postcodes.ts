/** How a town is written with its postcode: where each stands, and what else the line may say. */
export interface TownForm {
  /** Groups: postcode, town, region, cc (a prefix such as D). */
  readonly form: RegExp;
  /** The countries that write so; the first is taken where nothing else tells. undefined: many. */
  readonly countries?: readonly string[];
  /** Whether it is read so only where something else tells one of these countries. */
  readonly isLoose?: true;
}

const TOWN = String.raw`(?<town>(?:['’][st][- ])?\p{Lu}[\p{L}.'’\-]*(?:[ /](?:\(?[\p{L}.'’\-]+\)?|\d{1,2}(?=$|\s*$)))*)`;
const US = String.raw`A[KLRZ]|C[AOT]|D[CE]|FL|GA|HI|I[ADLN]|K[SY]|LA|M[ADEINOST]|N[CDEHJMVY]|O[HKR]|P[AR]|RI|S[CD]|T[NX]|UT|V[AT]|W[AIVY]`;
/** States by their names, as they are written out. */
const STATES =
  'Alabama|Alaska|Arizona|Arkansas|California|Colorado|Connecticut|Delaware|Florida|Georgia|Hawaii|Idaho|Illinois|Indiana|Iowa|Kansas|Kentucky|Louisiana|Maine|Maryland|Massachusetts|Michigan|Minnesota|Mississippi|Missouri|Montana|Nebraska|Nevada|New Hampshire|New Jersey|New Mexico|New York|North Carolina|North Dakota|Ohio|Oklahoma|Oregon|Pennsylvania|Rhode Island|South Carolina|South Dakota|Tennessee|Texas|Utah|Vermont|Virginia|Washington|West Virginia|Wisconsin|Wyoming';
const CA = 'AB|BC|MB|NB|NL|NS|NT|NU|ON|PE|QC|SK|YT';
const AU = 'NSW|VIC|QLD|SA|WA|TAS|ACT|NT';
const GB = String.raw`(?<postcode>[A-Z]{1,2}\d[A-Z\d]? ?\d[A-Z]{2})`;

const form = (source: string) => new RegExp(`^${source}$`, 'u');

/**
 * Forms of town lines, the more telling first.
 *
 * Source: the Universal Postal Union's country sheets, from memory.
 */
export const TOWN_FORMS: readonly TownForm[] = [
  { form: form(`${TOWN}[ ]+${GB}`), countries: ['GB'] },
  { form: form(GB), countries: ['GB'] },
  {
    form: form(
      String.raw`(?<town>\p{Lu}[\p{L}.'’ -]*?)[ ]+\((?<region>[\p{L} -]+)\)[ ]+(?<postcode>[A-Z]\d[A-Z] ?\d[A-Z]\d)`,
    ),
    countries: ['CA'],
  },
  { form: form(String.raw`(?<postcode>[A-Z]\d{4}(?:[A-Z]{3})?)[ ]+${TOWN}`), countries: ['AR'] },
  {
    form: form(String.raw`(?:${TOWN}[ ]+)?(?<region>${CA})[ ]+(?<postcode>[A-Z]\d[A-Z] ?\d[A-Z]\d)`),
    countries: ['CA'],
  },
  {
    form: form(String.raw`(?:${TOWN}[ ]+)?(?<region>${US}|${STATES})\.?[ ]+(?<postcode>\d{5}(?:-\d{4})?)`),
    countries: ['US'],
  },
  { form: form(String.raw`(?:${TOWN}[ ]+)?(?<region>${AU})[ ]+(?<postcode>\d{4})`), countries: ['AU'] },
  { form: form(String.raw`(?:(?<cc>NL)-? ?)?(?<postcode>\d{4} ?[A-Z]{2})[ ]+${TOWN}`), countries: ['NL'] },
  { form: form(String.raw`(?:${TOWN}[ ]+)?(?<postcode>[A-Z]\d[\dW] ?[A-Z\d]{4})`), countries: ['IE'] },
  { form: form(String.raw`(?:(?<cc>PL)-? ?)?(?<postcode>\d{2}-\d{3})[ ]+${TOWN}`), countries: ['PL'] },
  { form: form(String.raw`(?:(?<cc>PT)-? ?)?(?<postcode>\d{4}-\d{3})[ ]+${TOWN}`), countries: ['PT'] },
  { form: form(String.raw`(?:(?<cc>BR)-? ?)?(?<postcode>\d{5}-\d{3})(?:[ ]+${TOWN})?`), countries: ['BR'] },
  {
    form: form(String.raw`(?:(?<cc>SE|S|CZ|SK|GR)-? ?)?(?<postcode>\d{3} \d{2})[ ]+${TOWN}`),
    countries: ['SE', 'CZ', 'SK', 'GR'],
  },
  { form: form(String.raw`${TOWN}[ ]+(?<postcode>\d{3}-\d{4})`), countries: ['JP'] },
  {
    form: form(String.raw`(?<postcode>\d{5,6})[ ]+${TOWN}[ ]+\((?<region>[\p{L} ]{2,30})\)`),
    countries: ['IT', 'ES'],
  },
  { form: form(String.raw`(?<postcode>\d{5})[ ]+${TOWN}[ ]+(?<region>[A-Z]{2})`), countries: ['IT'] },
  { form: form(String.raw`(?:(?<cc>[A-Z]{1,3})[- ] ?)?(?<postcode>\d{4,5})[ ]+${TOWN}`) },
  { form: form(String.raw`${TOWN}[ ]+(?<postcode>\d{5,6})`), countries: ['SG', 'CN', 'IN'] },
  {
    form: form(String.raw`(?<postcode>\d{6}),?[ ]+(?:г\. ?)?${TOWN}`),
    countries: ['RO', 'RU', 'BY', 'KZ'],
    isLoose: true,
  },
  { form: form(String.raw`${TOWN}[ ]+(?<postcode>\d{4})`), countries: ['NZ', 'ZA', 'AU'], isLoose: true },
];

/** What vehicles of a country carry, as written before a postcode. */
export const PREFIX_COUNTRIES: Readonly<Record<string, string>> = {
  ...{
    D: 'DE',
    A: 'AT',
    CH: 'CH',
    F: 'FR',
    E: 'ES',
    I: 'IT',
    B: 'BE',
    L: 'LU',
    S: 'SE',
    DK: 'DK',
    N: 'NO',
    NO: 'NO',
  },
  ...{
    FI: 'FI',
    FIN: 'FI',
    NL: 'NL',
    PL: 'PL',
    PT: 'PT',
    P: 'PT',
    SE: 'SE',
    DE: 'DE',
    AT: 'AT',
    FR: 'FR',
    ES: 'ES',
  },
  ...{
    IT: 'IT',
    BE: 'BE',
    LU: 'LU',
    CZ: 'CZ',
    SK: 'SK',
    GR: 'GR',
    H: 'HU',
    HU: 'HU',
    SI: 'SI',
    SLO: 'SI',
    HR: 'HR',
  },
  ...{ LT: 'LT', LV: 'LV', EE: 'EE', RO: 'RO', BG: 'BG', BR: 'BR', LI: 'LI', FL: 'LI' },
};

/** Figures of a postcode by country, where four or five alone are written; from memory, as above. */
export const POSTCODE_FIGURES: Readonly<Record<string, number>> = {
  ...{ DE: 5, FR: 5, ES: 5, IT: 5, FI: 5, EE: 5, HR: 5, MX: 5, TR: 5, UA: 5, LT: 5, RS: 5, US: 5, MC: 5 },
  ...{
    AT: 4,
    CH: 4,
    LI: 4,
    BE: 4,
    LU: 4,
    DK: 4,
    NO: 4,
    HU: 4,
    SI: 4,
    AU: 4,
    NZ: 4,
    ZA: 4,
    BG: 4,
    LV: 4,
    CY: 4,
  },
};

/** The country of which a text is a town line; undefined for a form that several countries share. */
export function countryOfTownLine(text: string): string | undefined {
  const found = TOWN_FORMS.find(({ form: one, isLoose }) => !isLoose && one.test(text));
  return found?.countries?.length === 1 ? found.countries[0] : undefined;
}
