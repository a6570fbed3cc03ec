// People and organisations as they really are, before anybody writes them down: families, couples with one mailbox, fathers
// and sons of one name, twins, namesakes, staff, successors in a post. What makes them hard to tell apart is put here.
import type { Dice } from '@/demo/random';

import { type Culture, CULTURES } from './cultures.data';

/** A name in the ways it is written: as it stands in its own script, then in Latin letters. */
export type Forms = readonly string[];

export interface Place {
  readonly street: Forms;
  readonly number: string;
  readonly postcode: string;
  readonly town: Forms;
}

export interface Firm {
  readonly id: string;
  readonly culture: Culture;
  /** Without its legal form. */
  readonly name: string;
  readonly legal: string;
  readonly domain: string;
  readonly number: string;
  readonly place: Place;
}

export interface Person {
  readonly id: string;
  readonly culture: Culture;
  readonly isWoman: boolean;
  readonly given: Forms;
  readonly second?: Forms | undefined;
  readonly short?: string | undefined;
  readonly surname: Forms;
  readonly maiden?: Forms | undefined;
  readonly surname2?: Forms | undefined;
  readonly generation?: string;
  readonly birth: { readonly year: number; readonly month: number; readonly day: number };
  readonly mobile: string;
  readonly oldMobile: string;
  readonly home?: string | undefined;
  readonly mails: readonly string[];
  /** A mailbox shared with others of the household. */
  readonly sharedMail?: string | undefined;
  readonly place: Place;
  readonly oldPlace: Place;
  readonly firm: Firm;
  readonly title: string;
  readonly workMail: string;
  readonly extension: string;
  readonly oldFirm: Firm;
}

const TITLES =
  'Violinist Conductor Accountant Manager Editor Director Teacher Engineer Physician Architect Secretary Curator Luthier Treasurer Photographer Translator'.split(
    ' ',
  );
const LEGAL: Readonly<Record<string, readonly string[]>> = {
  ...{ GB: ['Ltd', 'LLP', 'plc'], US: ['Inc.', 'LLC', 'Corp.'], DE: ['GmbH', 'AG', 'e.V.', 'GmbH & Co. KG'] },
  ...{
    FR: ['SARL', 'SAS'],
    ES: ['S.L.', 'S.A.'],
    PT: ['Lda.', 'S.A.'],
    IT: ['S.r.l.', 'S.p.A.'],
    NL: ['B.V.', 'N.V.'],
  },
  ...{ SE: ['AB'], PL: ['Sp. z o.o.'], CZ: ['s.r.o.', 'a.s.'] },
};
const TRADES =
  'Strings Press Records Design Foods Travel Consulting Printing Logistics Media Pianos Books Glass Optics'.split(
    ' ',
  );
const PUBLIC_HOSTS = [
  'post.example',
  'mail.example',
  'inbox.example',
  'letters.example',
  'quickmail.example',
];

export const words = (list: string): string[] =>
  list.split(' ').map((word) => word.replaceAll('_', ' ').trim());
export const forms = (word: string): Forms => word.split('|').map((form) => form.replaceAll('_', ' '));
/** A name in Latin letters without marks, as it stands in a mail address. */
export const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(
      /[łØøßæœđı]/gi,
      (sign) => ({ ł: 'l', ø: 'o', ß: 'ss', æ: 'ae', œ: 'oe', đ: 'd', ı: 'i' })[sign.toLowerCase()] ?? '',
    )
    .replace(/[^a-z]/gi, '')
    .toLowerCase();
/** How a name is written in Latin letters, in the first of the ways. */
export const latin = (all: Forms): string => all[1] ?? all[0] ?? '';

/** Makes up people; each is told from all others by its id. */
export class World {
  private count = 0;
  private readonly firms: Firm[] = [];
  private readonly taken = new Set<string>();

  constructor(
    private readonly dice: Dice,
    size: number,
  ) {
    for (let i = 0; i < Math.max(8, size / 14); i += 1) this.firms.push(this.makeFirm());
  }

  get allFirms(): readonly Firm[] {
    return this.firms;
  }

  digits(pattern: string): string {
    return pattern.replace(/#/g, () => String(this.dice.below(10)));
  }

  surnameOf(culture: Culture): Forms {
    const { dice } = this;
    // Some names are everybody's, most are rare.
    if (dice.chance(0.3)) return forms(zipf(dice, words(culture.surnames)));
    const stem = forms(dice.pick(words(culture.stems)));
    if (culture.endings === '') return stem;
    const ending = forms(dice.pick(words(culture.endings)));
    const middle =
      dice.chance(0.5) && stem.length === 1 ? dice.pick(['', 'a', 'e', 'o', 'en', 'er', 'i']) : '';
    const most = Math.max(stem.length, ending.length);
    return Array.from(
      { length: most },
      (_, i) => (stem[i] ?? latin(stem)) + middle + (ending[i] ?? latin(ending)),
    );
  }

  placeOf(culture: Culture): Place {
    const { dice } = this;
    return {
      street: forms(dice.pick(words(culture.streets))),
      number: String(1 + dice.below(140)),
      postcode: this.digits('#####'),
      town: forms(dice.pick(words(culture.towns))),
    };
  }

  numberOf({ numbers: [calling, , mobile, land] }: Culture, isMobile: boolean): string {
    return `+${calling} ${this.digits(isMobile ? mobile : land)}`;
  }

  /** Somebody, like another one in what is given. */
  person(given: Partial<Person> = {}): Person {
    const { dice } = this;
    const culture =
      given.culture ?? CULTURES[Math.min(dice.below(CULTURES.length), dice.below(26))] ?? dice.pick(CULTURES);
    const isWoman = given.isWoman ?? dice.chance(0.5);
    const pick = () => forms(zipf(dice, words(isWoman ? culture.women : culture.men)));
    const name = given.given ?? pick();
    const other = pick();
    const surname = given.surname ?? this.genderedSurname(culture, isWoman);
    const short = shortOf(culture, name[0] ?? '');
    const firm = given.firm ?? dice.pick(this.firms);
    const local = [plain(latin(name)), plain(latin(surname))];
    const year = 1938 + dice.below(65);
    return {
      id: `p${(this.count += 1)}`,
      ...{ culture, isWoman, given: name, surname, firm },
      second: !culture.isSurnameFirst && dice.chance(0.25) && other[0] !== name[0] ? other : undefined,
      short: short.length > 0 ? dice.pick(short) : undefined,
      maiden: isWoman && dice.chance(0.25) ? this.genderedSurname(culture, true) : undefined,
      surname2: culture.hasTwoSurnames ? this.surnameOf(culture) : undefined,
      birth: { year, month: 1 + dice.below(12), day: 1 + dice.below(28) },
      mobile: this.numberOf(culture, true),
      oldMobile: this.numberOf(culture, true),
      home: dice.chance(0.5) ? this.numberOf(culture, false) : undefined,
      mails: [this.mailbox(local, year), this.mailbox(local, year)],
      place: this.placeOf(culture),
      oldPlace: this.placeOf(culture),
      title: dice.pick(TITLES),
      workMail: `${dice.pick([local.join('.'), `${local[0]?.charAt(0)}${local[1]}`, `${local[1]}`])}@${firm.domain}`,
      extension: this.digits('###'),
      oldFirm: dice.pick(this.firms),
      ...given,
    };
  }

  /** People who belong together, most often one alone. */
  household(): Person[] {
    const { dice } = this;
    const one = this.person();
    const at = { culture: one.culture, place: one.place, home: one.home };
    const family = { ...at, surname: one.surname };
    if (dice.chance(0.06)) {
      const shared = dice.chance(0.4)
        ? `${plain(latin(one.surname))}s${one.birth.year % 100}@${dice.pick(PUBLIC_HOSTS)}`
        : undefined;
      const partner = this.person({
        ...at,
        isWoman: !one.isWoman,
        surname: this.surnameFor(one, !one.isWoman),
        sharedMail: shared,
      });
      return [{ ...one, sharedMail: shared }, partner];
    }
    if (dice.chance(0.012)) {
      // A father and a son of one name, with or without saying which.
      const says = dice.chance(0.5);
      const father = {
        ...one,
        isWoman: false,
        maiden: undefined,
        given: one.isWoman ? forms(dice.pick(words(one.culture.men))) : one.given,
      };
      const surname = this.surnameFor(one, false);
      const year = father.birth.year + 22 + dice.below(18);
      const son = this.person({
        ...family,
        surname,
        isWoman: false,
        given: father.given,
        birth: { ...father.birth, year, month: 1 + dice.below(12) },
      });
      return [
        { ...father, surname, ...(says ? { generation: 'Sr' } : {}) },
        { ...son, ...(says ? { generation: 'Jr' } : {}) },
      ];
    }
    if (dice.chance(0.008)) {
      const twin = this.person({ ...family, isWoman: one.isWoman, birth: one.birth });
      return twin.given[0] === one.given[0] ? [one] : [one, twin];
    }
    if (dice.chance(0.02))
      return [
        one,
        this.person({ ...family, isWoman: !one.isWoman, surname: this.surnameFor(one, !one.isWoman) }),
      ];
    // Somebody else of the same name, in the same town or at the same desk.
    if (dice.chance(0.015))
      return [
        one,
        this.person({ culture: one.culture, isWoman: one.isWoman, given: one.given, surname: one.surname }),
      ];
    if (dice.chance(0.015))
      return [one, this.person({ firm: one.firm, title: one.title, extension: one.extension })];
    // A number that somebody else has now.
    if (dice.chance(0.01)) return [one, this.person({ culture: one.culture, mobile: one.oldMobile })];
    return [one];
  }

  private surnameFor({ surname, isWoman, culture }: Person, forWoman: boolean): Forms {
    if (isWoman === forWoman || !culture.gendered) return surname;
    return forWoman ? surname.map((form) => gender(culture, form)) : this.surnameOf(culture);
  }

  private genderedSurname(culture: Culture, isWoman: boolean): Forms {
    const surname = this.surnameOf(culture);
    return isWoman ? surname.map((form) => gender(culture, form)) : surname;
  }

  private mailbox([given = '', surname = '']: readonly string[], year: number): string {
    const { dice } = this;
    const handle = `${dice.pick(['blue', 'sea', 'tango', 'night', 'moss', 'paper', 'river'])}${dice.pick(['fox', 'lark', 'oak', 'wolf', 'star'])}`;
    const local = dice.pick([
      `${given}.${surname}`,
      `${given}${surname}${year % 100}`,
      `${given.charAt(0)}${surname}`,
      `${surname}.${given}`,
      `${given}_${surname}${dice.below(90)}`,
      `${handle}${dice.below(1000)}`,
    ]);
    // Nobody gets a mailbox that somebody has.
    const host = dice.pick(PUBLIC_HOSTS);
    let mail = `${local}@${host}`;
    while (this.taken.has(mail)) mail = `${local}${dice.below(1000)}@${host}`;
    this.taken.add(mail);
    return mail;
  }

  private makeFirm(): Firm {
    const { dice } = this;
    const culture = dice.pick(CULTURES.slice(0, 11));
    const name = `${latin(this.surnameOf(culture))} ${dice.pick(TRADES)}`;
    return {
      id: `f${(this.count += 1)}`,
      ...{ culture, name, legal: dice.pick(LEGAL[culture.country] ?? ['']) },
      domain: `${plain(name)}${this.count}.example`,
      number: this.numberOf(culture, false),
      place: this.placeOf(culture),
    };
  }
}

function gender({ gendered = [] }: Culture, surname: string): string {
  const rule = gendered.find(
    ([man]) => surname.endsWith(man) && (man !== '' || /[^áéíýúůaeo]$/.test(surname)),
  );
  return rule ? surname.slice(0, surname.length - rule[0].length) + rule[1] : surname;
}

function shortOf({ short = '' }: Culture, name: string): string[] {
  const found = words(short).find((one) => one.startsWith(`${name}=`));
  return found ? found.slice(name.length + 1).split(',') : [];
}

/** One of some, the first of them far more often than the last. */
function zipf(dice: Dice, all: readonly string[]): string {
  return all[Math.floor(all.length * dice.next() ** 1.7)] ?? dice.pick(all);
}
