// Cards as people, programs and scanners write them: what one person becomes in an address book that has grown for years.
import { type Card, newCard } from '@/core/card';
import type { Dice } from '@/demo/random';

import { type Firm, type Forms, latin, type Person, type Place, plain } from './makePeople';

/** Where a card has come from, which says what is on it and how its name is written. */
const SOURCES = ['phone', 'mail', 'paper', 'directory', 'network', 'old', 'script', 'stub'] as const;
type Source = (typeof SOURCES)[number];

/** A card in the making, whose parts are checked when it is done. */
type Draft = Readonly<Record<string, unknown>>;
const entries = (prefix: string, all: readonly object[]) =>
  Object.fromEntries(all.map((one, i) => [`${prefix}${i + 1}`, one]));

/** Some cards of one person; all but few have something in common beside the name. */
export function cardsOf(person: Person, count: number, dice: Dice): Card[] {
  const first = cardFrom(person, dice.pick(['phone', 'paper', 'directory', 'network']), dice);
  const cards = [first];
  while (cards.length < count) {
    const card = cardFrom(person, dice.pick(SOURCES), dice);
    const sharesAny = cards.some((other) => haveCommon(card, other));
    cards.push(sharesAny || dice.chance(0.05) ? card : withShared(card, person, cards[0] ?? first, dice));
  }
  return cards;
}

function haveCommon(a: Card, b: Card): boolean {
  const values = (card: Card) => [
    ...Object.values(card.emails ?? {}).map(({ address }) => address.toLowerCase()),
    ...Object.values(card.phones ?? {}).map(({ number }) => number.replace(/\D/g, '').slice(-7)),
  ];
  const theirs = new Set(values(b));
  return values(a).some((value) => theirs.has(value));
}

/** A card that has a value of another one too, written in its own way. */
function withShared(card: Card, person: Person, other: Card, dice: Dice): Card {
  const [mail] = Object.values(other.emails ?? {});
  const [phone] = Object.values(other.phones ?? {});
  if (mail && (dice.chance(0.5) || !phone))
    return {
      ...card,
      emails: {
        ...card.emails,
        x1: { address: dice.chance(0.2) ? mail.address.toUpperCase() : mail.address },
      },
    };
  if (phone)
    return { ...card, phones: { ...card.phones, x1: { number: numberAs(phone.number, person, dice) } } };
  return { ...card, emails: { ...card.emails, x1: { address: person.mails[0] ?? '' } } };
}

function cardFrom(person: Person, source: Source, dice: Dice): Card {
  const { firm, oldFirm } = person;
  const native = source === 'script' ? true : person.given.length > 1 && dice.chance(0.3);
  const [work, private_] = [{ contexts: { work: true } }, { contexts: { private: true } }];
  const mobile = { number: numberAs(person.mobile, person, dice), features: { mobile: true } };
  const home =
    person.home === undefined ? [] : [{ number: numberAs(person.home, person, dice), ...private_ }];
  const desk = {
    number: `${numberAs(firm.number, person, dice)}${dice.pick([' ext. ', ' x', '-', ';ext='])}${person.extension}`,
    ...work,
  };
  const mails = person.mails.map((address) => ({ address, ...private_ }));
  const ownMail =
    person.sharedMail !== undefined && dice.chance(0.7)
      ? [{ address: person.sharedMail }]
      : mails.slice(0, 1);
  const born = { b1: { kind: 'birth', date: birthAs(person, dice) } };
  const uid = `${person.id}-${source}-${dice.below(1e9)}`;
  const base: Draft = { ...newCard(uid, '2026-01-01T00:00:00Z'), name: nameAs(person, source, native, dice) };
  const home_ = (place: Place) => ({ addresses: entries('a', [addressOf(place, native, dice)]) });
  const at = (where: Firm) => ({
    organizations: entries('o', [{ name: firmAs(where, dice) }]),
    titles: entries('t', [{ name: person.title }]),
  });
  const some = <T extends object>(chance: number, what: T): T | object => (dice.chance(chance) ? what : {});
  const card: Record<Source, () => Draft> = {
    phone: () => ({
      ...base,
      phones: entries('p', [mobile, ...(dice.chance(0.4) ? home : [])]),
      ...some(0.2, { emails: entries('e', ownMail) }),
    }),
    mail: () => ({
      ...base,
      emails: entries('e', dice.chance(0.4) ? [{ address: person.workMail }] : ownMail),
    }),
    paper: () => ({
      ...{ ...base, ...at(firm) },
      phones: entries('p', [desk, ...(dice.chance(0.5) ? [mobile] : [])]),
      emails: entries('e', [{ address: person.workMail, ...work }]),
      ...some(0.7, { addresses: entries('a', [addressOf(firm.place, false, dice)]) }),
    }),
    directory: () => ({
      ...{ ...base, ...home_(person.place), anniversaries: born },
      phones: entries('p', [...home, ...(dice.chance(0.6) ? [mobile] : [])]),
      ...some(0.5, { emails: entries('e', ownMail) }),
    }),
    network: () => ({
      ...{ ...base, emails: entries('e', mails.slice(dice.below(2))) },
      ...some(0.6, { anniversaries: born }),
      ...some(0.4, at(firm)),
      ...some(0.3, person.short === undefined ? {} : { nicknames: entries('n', [{ name: person.short }]) }),
    }),
    old: () => ({
      ...{ ...base, ...at(oldFirm), ...home_(person.oldPlace) },
      phones: entries('p', [{ number: numberAs(person.oldMobile, person, dice) }, ...home]),
      emails: entries('e', mails.slice(1)),
      ...some(0.4, { anniversaries: born }),
    }),
    script: () => ({
      ...base,
      phones: entries('p', [mobile]),
      ...some(0.5, home_(person.place)),
      ...some(0.3, { anniversaries: born }),
    }),
    stub: () =>
      dice.chance(0.5)
        ? { ...base, phones: entries('p', [mobile]) }
        : { ...base, emails: entries('e', ownMail) },
  };
  const { name, ...rest } = card[source]();
  return { ...rest, ...(name === undefined ? {} : { name }) } as unknown as Card;
}

function birthAs({ birth }: Person, dice: Dice): object {
  if (dice.chance(0.04)) return { ...birth, day: 1 + ((birth.day + 9) % 28) };
  if (dice.chance(0.04) && birth.day <= 12) return { ...birth, month: birth.day, day: birth.month };
  if (dice.chance(0.25)) return { month: birth.month, day: birth.day };
  return birth;
}

/** A number as it is written: with or without its country, with other spaces, now and then with a slip. */
function numberAs(number: string, { culture }: Person, dice: Dice): string {
  const [calling, trunk] = culture.numbers;
  const [, national = ''] = number.replace('(0)', '').split(new RegExp(`^\\+${calling} `));
  if (national === '') return number;
  const digits = national.replace(/\D/g, '');
  if (dice.chance(0.02)) return `+${calling} ${slip(digits, dice)}`;
  return dice.pick([
    `+${calling} ${national}`,
    `+${calling}${digits}`,
    `00${calling} ${digits}`,
    `${trunk}${national}`,
    `${trunk}${digits.slice(0, 3)}/${digits.slice(3)}`,
    `+${calling} (${trunk || '0'})${national}`.replace('(0)', trunk === '0' ? '(0)' : ''),
    `${trunk}${national.replace(/ /g, '-')}`,
  ]);
}

function addressOf({ street, number, postcode, town }: Place, native: boolean, dice: Dice): object {
  const of = (all: Forms) => (native ? (all[0] ?? '') : latin(all));
  const road = of(street)
    .replace(/straße$/, dice.chance(0.4) ? 'str.' : 'straße')
    .replace(/ Street$/, dice.chance(0.4) ? ' St' : ' Street');
  return {
    components: [
      { kind: 'name', value: dice.chance(0.03) ? slip(road, dice) : road },
      { kind: 'number', value: number },
      ...(dice.chance(0.8) ? [{ kind: 'postcode', value: postcode }] : []),
      { kind: 'locality', value: of(town) },
    ],
  };
}

/** The name of a firm with or without its legal form, the way somebody writes it. */
export function firmAs({ name, legal }: Firm, dice: Dice): string {
  const whole = dice.chance(0.6) && legal !== '' ? `${name}${dice.chance(0.2) ? ',' : ''} ${legal}` : name;
  if (dice.chance(0.12)) return whole.toUpperCase();
  return dice.chance(0.04) ? slip(whole, dice) : whole;
}

/** The name as it gets into a card: typed, scanned, imported, put into the wrong field. */
function nameAs(person: Person, source: Source, native: boolean, dice: Dice): object | undefined {
  const { culture, generation, second, short, maiden, surname2 } = person;
  const of = (all: Forms) =>
    native ? (all[0] ?? '') : dice.chance(0.75) ? latin(all) : dice.pick(all.slice(1).concat(latin(all)));
  const isOld = source === 'old';
  let given =
    short !== undefined && dice.chance(source === 'phone' || source === 'stub' ? 0.4 : 0.12)
      ? short
      : of(person.given);
  let surname = of(isOld && maiden ? maiden : person.surname);
  if (surname2 && dice.chance(0.5)) surname = `${surname} ${of(surname2)}`;
  const middle =
    second && dice.chance(0.5) ? (dice.chance(0.5) ? `${of(second).charAt(0)}.` : of(second)) : '';
  if (dice.chance(0.05) && given.length > 4) given = slip(given, dice);
  if (dice.chance(0.06) && surname.length > 4) surname = slip(surname, dice);
  if (source === 'paper' && dice.chance(0.15))
    [given, surname] = [misread(given, dice), misread(surname, dice)];
  if (dice.chance(0.25)) [given, surname] = [bare(given), bare(surname)];
  if (dice.chance(source === 'mail' || source === 'paper' ? 0.12 : 0.04) && !native)
    given = `${given.charAt(0)}.`;
  if (source === 'stub' && dice.chance(0.4))
    return { full: given.length > 2 ? given : `${given} ${surname}` };
  if (source === 'mail' && dice.chance(0.12))
    return dice.chance(0.5) ? undefined : { full: person.mails[0] ?? '' };
  const isHanOrHangul = /\p{Script=Han}|\p{Script=Hangul}/u.test(given);
  const inOrder = culture.isSurnameFirst && (native || dice.chance(0.6));
  const gap = isHanOrHangul ? '' : ' ';
  const plainFull = inOrder ? `${surname}${gap}${given}` : [given, middle, surname].filter(Boolean).join(' ');
  const says = generation !== undefined && dice.chance(0.8) ? generation : '';
  const full = [plainFull, says].filter(Boolean).join(' ');
  const shout = source === 'paper' && dice.chance(0.3) ? full.toLocaleUpperCase() : full;
  const degree =
    source === 'paper' && dice.chance(0.15) ? dice.pick(['Dr. ', 'Prof. ', 'Dipl.-Ing. ', 'Dr ']) : '';
  const components = [
    { kind: 'given', value: given },
    ...(middle === '' ? [] : [{ kind: 'given2', value: middle }]),
    { kind: 'surname', value: surname },
    ...(says === '' ? [] : [{ kind: 'generation', value: says }]),
  ];
  const way = dice.next();
  if (way < 0.45) return { components, full };
  if (way < 0.78) return { full: degree + shout };
  if (way < 0.84) return { components: [{ kind: 'given', value: full }], full };
  if (way < 0.88) return { components: [{ kind: 'surname', value: full }], full };
  if (way < 0.94) return { full: `${surname}, ${[given, middle, says].filter(Boolean).join(' ')}` };
  return {
    components: [
      { kind: 'given', value: surname },
      { kind: 'surname', value: given },
    ],
    full: `${surname} ${given}`,
  };
}

function bare(text: string): string {
  return /^[\p{Script=Latin}\p{M}\s'’.-]+$/u.test(text)
    ? text
        .normalize('NFD')
        .replace(/\p{M}/gu, '')
        .replace(/ß/g, 'ss')
        .replace(/ł/g, 'l')
        .replace(/Ł/g, 'L')
        .replace(/ø/g, 'o')
        .replace(/ı/g, 'i')
        .replace(/đ/g, 'd')
        .replace(/Đ/g, 'D')
    : text;
}

/** One slip of the fingers: a sign left out, doubled, swapped with its neighbour or another one. */
export function slip(text: string, dice: Dice): string {
  const signs = [...text];
  const at = 1 + dice.below(Math.max(1, signs.length - 2));
  const sign = signs[at] ?? '';
  const next = signs[at + 1] ?? '';
  const kind = dice.below(4);
  if (kind === 0) signs.splice(at, 1);
  else if (kind === 1) signs.splice(at, 0, sign);
  else if (kind === 2) signs.splice(at, 2, next, sign);
  else if (/\d/.test(sign)) signs[at] = String(dice.below(10));
  else if (/[a-z]/.test(sign)) signs[at] = 'abcdefghijklmnopqrstuvwxyz'.charAt(dice.below(26));
  return signs.join('');
}

/** What a scanner makes of letters. */
function misread(text: string, dice: Dice): string {
  const [from, to] = dice.pick([
    ['rn', 'm'],
    ['m', 'rn'],
    ['l', '1'],
    ['o', '0'],
    ['cl', 'd'],
    ['i', 'l'],
    ['u', 'ii'],
    ['e', 'c'],
  ] as const);
  return text.replace(from, to);
}

/** An organisation's card, sometimes without saying that it is one. */
export function firmCard(firm: Firm, town: Place, dice: Dice): Card {
  const name = firmAs(firm, dice);
  const isSaid = dice.chance(0.7);
  const digits = dice.chance(0.5) ? firm.number : firm.number.replace(/ /g, '');
  const uid = `${firm.id}-${dice.below(1e9)}`;
  return {
    ...newCard(uid, '2026-01-01T00:00:00Z'),
    ...(isSaid ? { kind: 'org' } : {}),
    ...(isSaid || dice.chance(0.5) ? { name: { full: name } } : {}),
    ...(isSaid && dice.chance(0.5) ? {} : { organizations: { o1: { name } } }),
    ...(dice.chance(0.8) ? { phones: { p1: { number: digits } } } : {}),
    ...(dice.chance(0.7)
      ? { emails: { e1: { address: `${dice.pick(['info', 'office', 'contact'])}@${firm.domain}` } } }
      : {}),
    ...(dice.chance(0.7) ? { addresses: { a1: addressOf(town, false, dice) } } : {}),
    ...(dice.chance(0.3) ? { links: { l1: { uri: `https://www.${firm.domain}/` } } } : {}),
  } as Card;
}

export { plain };
