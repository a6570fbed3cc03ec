import { type Card, newCard, parseName } from '@/core/card';
import type { Rule } from '@/core/find';
import { newList, withMembers } from '@/core/lists';

import { drawPortrait } from './drawPortrait';
import { COUNTRIES, type DemoCountry, NOTES, ORGANISATIONS, ROLES } from './people.data';
import { Dice } from './random';

/** The same seed gives the same book on the same day. */
const SEED = 20_260_401;

/** Every second person or so has a portrait; the rest are initials, as in a real book. */
const PORTRAIT_SHARE = 0.45;

/** How many people the demo has; more than the list has names, so that some names come twice. */
const PEOPLE = 210;

/**
 * The book of the director of a chamber-music festival in the harbour town of Wexmere. Everybody is invented.
 *
 * @param today - a UTC day, 2026-11-24; birthdays and dates of writing are relative to it
 */
export function generateBook(today: string): Card[] {
  const dice = new Dice(SEED);
  const organisations = ORGANISATIONS.map((_, i) => organisationCard(i, today, dice));
  const slots = COUNTRIES.flatMap((country) => country.people.map((line) => ({ country, line })));
  const people = Array.from({ length: PEOPLE }, (_, i) => {
    const known = slots[i];
    // Once the list is used up, given names and surnames of one country are recombined.
    return known ? personCard(i, known.line, known.country, today, dice) : mixedPerson(i, today, dice);
  });
  return [...people, ...doubles(people, today), ...organisations, ...lists(people, today)];
}

function uidOf(kind: 'a' | 'b' | 'c' | 'd', index: number): string {
  return `urn:uuid:c0a0d1a1-0000-4000-8${kind}00-${String(index).padStart(12, '0')}`;
}

function daysBefore(today: string, days: number): string {
  return `${new Date(Date.parse(`${today}T09:00:00Z`) - days * 86_400_000).toISOString().slice(0, 19)}Z`;
}

function mixedPerson(index: number, today: string, dice: Dice): Card {
  const plainNames = ({ people }: DemoCountry) => people.filter((line) => line.split(' ').length === 2);
  const country = dice.pick(COUNTRIES.filter((one) => plainNames(one).length >= 4));
  const plain = plainNames(country);
  const [given = 'Ada'] = dice.pick(plain).split(' ');
  const surname = dice.pick(plain).split(' ').at(-1) ?? 'Lowther';
  return personCard(
    index,
    country.familyFirst ? `${surname} ${given}` : `${given} ${surname}`,
    country,
    today,
    dice,
  );
}

function personCard(index: number, line: string, country: DemoCountry, today: string, dice: Dice): Card {
  const [title, tag] = dice.pick(ROLES);
  const [town, postcode] = dice.pick(country.towns);
  const houses = ORGANISATIONS.filter(([, , , houseTag]) => houseTag === tag);
  const organisation = houses.length > 0 && dice.chance(0.5) ? dice.pick(houses) : undefined;
  const name = parseName(line, {
    familyFirst: country.familyFirst === true,
    doubleSurname: country.doubleSurname === true,
  });
  const card: Card = {
    ...newCard(uidOf('a', index), daysBefore(today, 30 + dice.below(700))),
    kind: 'individual',
    ...(name ? { name } : {}),
    titles: { t1: { name: title, kind: 'title' } },
    ...(organisation ? { organizations: { g1: { name: organisation[0] } } } : {}),
    phones: phonesOf(country, dice),
    keywords: { [tag]: true },
    preferredLanguages: { q1: { language: country.language } },
  };
  if (dice.chance(0.85)) card.emails = mailsOf(index, line, organisation?.[0], dice);
  if (dice.chance(0.75)) {
    const components = [
      ['name', dice.pick(country.streets)],
      ['postcode', postcode],
      ['locality', town],
      ['country', country.country],
    ];
    card.addresses = {
      a1: {
        components: components.map(([kind = '', value = '']) => ({ kind, value })),
        countryCode: country.code,
        ...pointIn(town),
        contexts: dice.chance(0.6) ? { private: true } : { work: true },
      },
    };
  }
  card.anniversaries = datesOf(index, today, dice);
  if (dice.chance(0.35)) card.notes = { o1: { note: dice.pick(NOTES) } };
  if (dice.chance(0.2)) card.links = { l1: { uri: `https://${slug(line, index)}.example.org` } };
  if (dice.chance(PORTRAIT_SHARE)) card.media = { m1: { kind: 'photo', uri: drawPortrait(dice) } };
  if (index % 11 === 4) card['cordialis.example:rhythm'] = RHYTHMS[index % RHYTHMS.length] ?? MONTHLY;
  if (index % 53 === 7) card['cordialis.example:due'] = dayAfter(today, (index % 5) - 2);
  if (index % 29 === 0) card['cordialis.example:opener'] = 'How did the rehearsal in the new hall go?';
  Object.assign(card, plannedOf(index, today));
  return card;
}

/** Appointments and reminders: a few of today, a few to come, one of yesterday that hasn't been noted. */
function plannedOf(index: number, today: string): Partial<Card> {
  const [days, title, time, place] = MEETINGS[index] ?? [];
  const [due, text] = FOLLOW_UPS[index] ?? [];
  return {
    ...(days === undefined || title === undefined
      ? {}
      : {
          'cordialis.example:meetings': {
            [title.toLowerCase().replace(/\W+/g, '-')]: {
              ...{ title, day: dayAfter(today, days), minutes: 45, place: place ?? '' },
              time: time ?? '10:00',
            },
          },
        }),
    ...(due === undefined || text === undefined
      ? {}
      : { 'cordialis.example:followUps': { f1: { day: dayAfter(today, due), text } } }),
  };
}

type DemoMeeting = readonly [days: number, title: string, time: string, place: string];
const SEATING: DemoMeeting = [6, 'Seating and lights', '16:30', 'St Brannoc’s Church'];
const MEETINGS: Readonly<Record<number, DemoMeeting>> = {
  12: [0, 'Programme for the opening night', '11:00', 'Wexmere Harbour Office'],
  31: [-1, 'Rehearsal times', '15:00', 'The Old Sail Hall'],
  44: SEATING,
  45: SEATING,
};
const FOLLOW_UPS: Readonly<Record<number, readonly [days: number, text: string]>> = {
  18: [0, 'Ask whether the parts have come'],
  63: [-2, 'Send the signed contract'],
  80: [5, 'Ask again about the second piano'],
};

function phonesOf(country: DemoCountry, dice: Dice): NonNullable<Card['phones']> {
  const number = (pattern: string) => pattern.replace(/#/g, () => String(dice.below(10)));
  const phones: NonNullable<Card['phones']> = {
    p1: {
      number: number(dice.pick(country.phones)),
      contexts: { work: true },
      ...(dice.chance(0.4) ? { pref: 1 } : {}),
    },
  };
  if (dice.chance(0.6))
    phones['p2'] = { number: number(country.phones.at(-1) ?? '#'), features: { mobile: true } };
  if (dice.chance(0.12))
    phones['p3'] = { number: number(country.phones[0] ?? '#'), contexts: { private: true } };
  return phones;
}

function mailsOf(
  index: number,
  line: string,
  organisation: string | undefined,
  dice: Dice,
): NonNullable<Card['emails']> {
  const own = slug(line, index);
  const mails: NonNullable<Card['emails']> = {
    e1: { address: `${own}@example.org`, contexts: { private: true } },
  };
  if (organisation && dice.chance(0.7)) {
    const house = slug(organisation, index);
    mails['e2'] = {
      address: `${own.split('.')[0] ?? own}@${house}.example`,
      contexts: { work: true },
      pref: 1,
    };
  }
  return mails;
}

/** Birthdays fall on every day of the weeks around today; some years are not known, some people have wedding days. */
function datesOf(index: number, today: string, dice: Dice): NonNullable<Card['anniversaries']> {
  const day = new Date(
    Date.parse(`${today}T00:00:00Z`) + (index % 37) * 86_400_000 * (index % 5 === 0 ? 7 : 1),
  );
  const birth = { month: day.getUTCMonth() + 1, day: day.getUTCDate() };
  // Thrown whatever the day: on every day the book has the same people.
  const [hasYear, year] = [dice.chance(0.75), 1938 + dice.below(66)];
  const dates: NonNullable<Card['anniversaries']> = {
    // No year of birth is a leap year's neighbour by accident: 29 February only comes from a leap day itself.
    d1: {
      kind: 'birth',
      date: hasYear && birth.day !== 29 ? { year, ...birth } : birth,
    },
  };
  if (dice.chance(0.15)) {
    dates['d2'] = {
      kind: 'wedding',
      date: { year: 1975 + dice.below(48), month: 1 + dice.below(12), day: 1 + dice.below(28) },
    };
  }
  return dates;
}

const MONTHLY = { every: 1, unit: 'month' } as const;
const RHYTHMS = [MONTHLY, { every: 6, unit: 'week' }, { every: 1, unit: 'quarter' }] as const;

function dayAfter(today: string, days: number): string {
  return daysBefore(today, -days).slice(0, 10);
}

/** No gazetteer has the festival's own town, so its cards say where it is. */
function pointIn(town: string | undefined): { coordinates?: string } {
  return town === 'Wexmere' ? { coordinates: 'geo:53.34,0.27' } : {};
}

function organisationCard(index: number, today: string, dice: Dice): Card {
  const [name, what, town, tag] = ORGANISATIONS[index] ?? ['', '', '', ''];
  const country = COUNTRIES.find(({ towns }) => towns.some(([known]) => known === town)) ?? COUNTRIES[0];
  const postcode = country?.towns.find(([known]) => known === town)?.[1] ?? '';
  const components = [
    ['name', dice.pick(country?.streets ?? [''])],
    ['postcode', postcode],
    ['locality', town],
    ['country', country?.country ?? ''],
  ];
  return {
    ...newCard(uidOf('b', index), daysBefore(today, 60 + dice.below(700))),
    kind: 'org',
    name: { full: name },
    titles: { t1: { name: what, kind: 'title' } },
    phones: {
      p1: {
        number: (country?.phones[0] ?? '').replace(/#/g, () => String(dice.below(10))),
        features: { 'main-number': true },
      },
    },
    emails: { e1: { address: `office@${slug(name, index)}.example`, contexts: { work: true } } },
    addresses: {
      a1: {
        components: components.map(([kind = '', value = '']) => ({ kind, value })),
        countryCode: country?.code ?? 'GB',
        ...pointIn(town),
        contexts: { work: true },
      },
    },
    links: { l1: { uri: `https://${slug(name, index)}.example` } },
    keywords: { [tag]: true },
  };
}

/** Lists that are picked, one on another, and one that fills itself. */
function lists(people: readonly Card[], today: string): Card[] {
  const make = (index: number, name: string) =>
    newList(uidOf('d', index), name, daysBefore(today, 400 - index));
  const tagged = (tag: string) =>
    people.filter((card) => card.keywords?.[tag] === true).map(({ uid }) => uid);
  const players = withMembers(make(1, 'Players of this year'), tagged('players'));
  const patrons = withMembers(make(2, 'Patrons'), tagged('patrons'));
  const press = withMembers(make(3, 'Press'), tagged('press'));
  const volunteers = withMembers(make(4, 'Volunteers'), tagged('volunteers'));
  const family = withMembers(make(5, 'Family'), tagged('family'));
  const opening = withMembers(make(6, 'Opening night'), [patrons.uid, press.uid, ...tagged('town')]);
  const rule: Rule = {
    kind: 'all',
    rules: [
      { kind: 'words', field: 'tag', value: 'players' },
      { kind: 'filled', field: 'mail', not: true },
    ],
  };
  const unwritten: Card = { ...make(7, 'Players without mail'), 'cordialis.example:rule': rule };
  return [players, patrons, press, volunteers, family, opening, unwritten].filter(
    (list) => list.members !== undefined || list['cordialis.example:rule'] !== undefined,
  );
}

/** Some cards that are the same person once more: from an old phone, from a mail header, with a bare name. */
function doubles(people: readonly Card[], today: string): Card[] {
  return people
    .filter((_, i) => i % 23 === 4)
    .map((card, i): Card => {
      const base = newCard(uidOf('c', i), daysBefore(today, 900));
      const [phone] = Object.values(card.phones ?? {});
      const surname = card.name?.components?.find(({ kind }) => kind === 'surname')?.value ?? '';
      const given = card.name?.components?.find(({ kind }) => kind === 'given')?.value ?? '';
      const short = parseName(`${[...given][0] ?? ''}. ${surname}`);
      return {
        ...base,
        ...(i % 2 === 0 && short ? { name: short } : card.name ? { name: card.name } : {}),
        ...(phone ? { phones: { p1: { number: phone.number.replace(/[\s()-]/g, '') } } } : {}),
      };
    });
}

/** The Latin letters of a name as a part of an address; names in other scripts go by their number. */
function slug(line: string, index: number): string {
  const plain = line
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/ø/g, 'o')
    .replace(/ł/g, 'l')
    .replace(/ß/g, 'ss');
  const words =
    plain.match(/[a-z]+/g)?.filter((word) => !['dr', 'prof', 'rev', 'sir', 'the', 'of'].includes(word)) ?? [];
  return words.length === 0 ? `guest${index}` : words.slice(0, 3).join('.');
}
