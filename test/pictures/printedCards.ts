// Printed cards of invented people, as pages that a browser draws: several typefaces, layouts and papers; the rough ones as
// a hurried photograph has them: askew or on their side, soft, grainy, in a shadow, on a table.
import { Dice } from '@/demo/random';

/** A card to be drawn, and what is printed on it. */
export interface PrintedCard {
  readonly name: string;
  readonly html: string;
  readonly isRough: boolean;
  readonly language: 'eng' | 'deu' | 'fra' | 'spa' | 'ita' | 'pol';
  readonly mail: string;
  /** In E.164, by the country of the card. */
  readonly numbers: readonly string[];
}

interface Country {
  readonly language: PrintedCard['language'];
  readonly given: string;
  readonly surnames: string;
  readonly posts: string;
  readonly houses: string;
  readonly place: (n: number) => string;
  /** Shown and in E.164, by four digits. */
  readonly land: (n: string) => readonly [string, string];
  readonly mobile: (n: string) => readonly [string, string];
  readonly labels: readonly [string, string];
}

const COUNTRIES: readonly Country[] = [
  {
    language: 'eng',
    given: 'Harriet Owen Priya Callum Beatrix Desmond',
    surnames: 'Thornley Adeyemi Wexcombe Farrow Ashdown Pelling',
    posts: 'Managing Director|Violin Maker|Head of Programming|Stage Manager',
    houses: 'Quay Strings Ltd|Harbour Lights Theatre|Saltmarsh Books',
    place: (n) => `${n} Harbour Road<br>Dulwater DW${1 + (n % 8)} ${1 + (n % 8)}AB`,
    land: (n) => [`01632 96${n}`, `+44163296${n}`],
    mobile: (n) => [`07700 90${n}`, `+44770090${n}`],
    labels: ['Tel', 'Mobile'],
  },
  {
    language: 'deu',
    given: 'Jürgen Käthe Sören Annelie Björn Ulrike',
    surnames: 'Großmann Döring Weißkopf Lüders Krämer Höfling',
    posts: 'Geschäftsführer|Klavierbauerin|Leiterin Künstlerbüro',
    houses: 'Hafenbühne Nord GmbH|Druckerei Möwe|Musikverlag Sörensen',
    place: (n) => `Hafenstraße ${n}<br>2${String(1000 + n * 37).slice(0, 4)} Elbmünde`,
    land: (n) => [`040 5550 ${n}`, `+49405550${n}`],
    mobile: (n) => [`0171 555 ${n}`, `+49171555${n}`],
    labels: ['Telefon', 'Mobil'],
  },
  {
    language: 'fra',
    given: 'Hélène Benoît Zoé François Maëlle Jérôme',
    surnames: 'Lefèvre Chênaie Garçonnet Bérard Delaunoy Péclard',
    posts: 'Directrice artistique|Régisseur général|Luthière',
    houses: 'Compagnie du Phare|Théâtre des Marées|Éditions Galène',
    place: (n) => `${n} quai des Pêcheurs<br>29${String(900 + n).slice(0, 3)} Concarneau`,
    land: (n) => [`02 99 55 ${n.slice(0, 2)} ${n.slice(2)}`, `+3329955${n}`],
    mobile: (n) => [`06 39 98 ${n.slice(0, 2)} ${n.slice(2)}`, `+3363998${n}`],
    labels: ['Tél.', 'Port.'],
  },
  {
    language: 'spa',
    given: 'Íñigo Begoña Ramón Nuria Joaquín Lucía',
    surnames: 'Ibáñez Cigüeña Muñoz Ordóñez Peñalver Zúñiga',
    posts: 'Jefa de Producción|Director de orquesta|Técnico de sonido',
    houses: 'Teatro del Muelle|Luthería Peña|Fundación Rompeolas',
    place: (n) => `Calle del Faro, ${n}<br>1500${n % 9} A Coruña`,
    land: (n) => [`981 55 ${n.slice(0, 2)} ${n.slice(2)}`, `+3498155${n}`],
    mobile: (n) => [`600 55 ${n.slice(0, 2)} ${n.slice(2)}`, `+3460055${n}`],
    labels: ['Teléfono', 'Móvil'],
  },
  {
    language: 'ita',
    given: 'Nicolò Giosuè Chiara Tommaso Ludovica Agnese',
    surnames: 'Dell’Orto Malaspina Bortolotti Ferraris Pescatore Quaglia',
    posts: 'Direttore artistico|Responsabile stampa|Liutaio',
    houses: 'Teatro del Porto|Tipografia Lanterna|Scuola Aurora',
    place: (n) => `Via della Marina, ${n}<br>161${String(10 + (n % 80))} Genova`,
    land: (n) => [`010 555 ${n}`, `+39010555${n}`],
    mobile: (n) => [`320 555 ${n}`, `+39320555${n}`],
    labels: ['Tel.', 'Cell.'],
  },
  {
    language: 'pol',
    given: 'Łucja Wiesław Bożena Michał Żaneta Grażyna',
    surnames: 'Wróblewska Sobczyński Jędrzejczak Żak Ślęzak Kłos',
    posts: 'Kierownik produkcji|Dyrektor artystyczny|Stroiciel fortepianów',
    houses: 'Teatr Portowy|Drukarnia Morska|Fundacja Fala',
    place: (n) => `ul. Żeglarska ${n}<br>81-3${String(10 + (n % 80))} Gdynia`,
    land: (n) => [`58 555 ${n.slice(0, 2)} ${n.slice(2)}`, `+4858555${n}`],
    mobile: (n) => [`601 55${n.slice(0, 1)} ${n.slice(1)}`, `+4860155${n}`],
    labels: ['tel.', 'kom.'],
  },
];

const FONTS = ['Newsreader', 'Atkinson', 'serif', 'sans-serif', 'monospace'];
const PAPERS = [
  ['#ffffff', '#1c1c1c'],
  ['#f6efe0', '#3a2f25'],
  ['#e8eef2', '#143049'],
  ['#22313a', '#f3f0e6'],
  ['#ffffff', '#6a6a6a'],
] as const;

/** The cards of a seed: the first half as printed, the second half as hurriedly photographed. */
export function printedCards(seed: number, count: number): PrintedCard[] {
  const dice = new Dice(seed);
  return Array.from({ length: count }, (_, i) => {
    const country = COUNTRIES[i % COUNTRIES.length] ?? COUNTRIES[0];
    if (!country) throw new Error('there is no country');
    const pick = (list: string, sign = ' ') => dice.pick(list.split(sign));
    const figures = () => String(dice.below(9000) + 1000);
    const [given, surname] = [pick(country.given), pick(country.surnames)];
    const house = pick(country.houses, '|');
    const plain = (text: string) =>
      text
        .normalize('NFD')
        .replace(/\p{M}|[’']/gu, '')
        .replace(/ß/g, 'ss')
        .replace(/ł/gi, 'l')
        .toLowerCase();
    const mail = `${plain(given)}.${plain(surname)}@${plain(house).replace(/[^a-z]+/g, '')}.example`;
    const land = country.land(figures());
    const mobile = country.mobile(figures());
    const isRough = i >= count / 2;
    const parts = {
      name: `${given} ${surname}`,
      post: pick(country.posts, '|'),
      house,
      place: country.place(dice.below(60) + 3),
      reach: `${country.labels[0]} ${land[0]}<br>${country.labels[1]} ${mobile[0]}<br>${mail}<br>www.${plain(house).replace(/[^a-z]+/g, '')}.example`,
    };
    return {
      name: `${country.language} ${i + 1}${isRough ? ' rough' : ''}`,
      html: pageOf(parts, i, isRough, (n) => dice.below(n)),
      isRough,
      language: country.language,
      mail,
      numbers: [land[1], mobile[1]],
    };
  });
}

interface Parts {
  readonly name: string;
  readonly post: string;
  readonly house: string;
  readonly place: string;
  readonly reach: string;
}

function pageOf(parts: Parts, i: number, isRough: boolean, below: (n: number) => number): string {
  const font = FONTS[i % FONTS.length] ?? 'serif';
  const [paper, ink] = PAPERS[(i * 7 + Math.floor(i / 5)) % PAPERS.length] ?? PAPERS[0];
  const quarter = isRough ? ([0, 0, 0, 90, 180, 270][below(6)] ?? 0) : 0;
  const askew = isRough ? below(25) - 12 : 0;
  const soft = isRough ? 0.4 + below(6) / 10 : 0;
  const grain = isRough ? 0.1 + below(15) / 100 : 0;
  const card = `<div id="card" style="position:relative;width:760px;height:440px;padding:36px;background:${paper};color:${ink};font-family:${font};transform:rotate(${quarter + askew}deg);filter:blur(${soft}px);overflow:hidden;line-height:1.4">
    ${LAYOUTS[i % LAYOUTS.length]?.(parts) ?? ''}
    ${isRough ? `<div style="position:absolute;inset:0;background:linear-gradient(${below(360)}deg,rgba(0,0,0,${0.15 + below(25) / 100}),rgba(0,0,0,0))"></div>` : ''}
  </div>`;
  const noise = `<svg style="position:absolute;inset:0;opacity:${grain}" width="1000" height="1000"><filter id="n"><feTurbulence type="fractalNoise" baseFrequency="0.9" numOctaves="2" seed="${i}"/></filter><rect width="1000" height="1000" filter="url(#n)"/></svg>`;
  return `<div id="shot" style="position:relative;width:${isRough ? 1000 : 840}px;height:${isRough ? 1000 : 520}px;display:flex;align-items:center;justify-content:center;overflow:hidden;background:${isRough ? '#8d7a66' : '#ffffff'}">${card}${isRough ? noise : ''}</div>`;
}

const LAYOUTS: readonly ((parts: Parts) => string)[] = [
  ({ name, post, house, place, reach }) =>
    `<div style="font-size:38px;font-weight:600">${name}</div><div style="font-size:22px">${post}</div><div style="font-size:22px;margin-top:14px">${house}</div><div style="font-size:20px;margin-top:30px">${place}</div><div style="font-size:20px;margin-top:14px">${reach}</div>`,
  ({ name, post, house, place, reach }) =>
    `<div style="text-align:center"><div style="font-size:30px;letter-spacing:2px">${house}</div><div style="font-size:34px;margin-top:36px">${name}</div><div style="font-size:20px;font-style:italic">${post}</div><div style="font-size:19px;margin-top:34px">${reach}</div><div style="font-size:19px;margin-top:10px">${place}</div></div>`,
  ({ name, post, house, place, reach }) =>
    `<div style="display:flex;justify-content:space-between"><div><div style="font-size:32px;font-weight:600">${name}</div><div style="font-size:20px">${post}</div></div><div style="font-size:24px;text-align:right">${house}</div></div><div style="display:flex;justify-content:space-between;margin-top:130px;font-size:19px"><div>${place}</div><div>${reach}</div></div>`,
];
