import { type PartialDate, toPartialDate } from '@/core/base';
import {
  type Card,
  latinWords,
  normalizeAddress,
  organisationWords,
  parseName,
  shownAs,
  type Uid,
} from '@/core/card';

/** The comparable facts of a card, normalised. */
export interface DuplicateFacts {
  readonly uid: Uid;
  readonly isOrg: boolean;
  readonly shown: string;
  /** Words of given names and of surnames, folded, in Latin letters. */
  readonly given: readonly string[];
  readonly surname: readonly string[];
  /** Jr, III …; '' for none. */
  readonly generation: string;
  /** Of an organisation: the words of its name without its legal form. */
  readonly house: readonly string[];
  readonly nicknames: readonly string[];
  /** Normalized. */
  readonly mails: readonly string[];
  /** E.164 where the country is written; else ~ and the national digits, which may be of any country. */
  readonly phones: readonly string[];
  readonly mobiles: ReadonlySet<string>;
  readonly birth: PartialDate | undefined;
  readonly employers: readonly string[];
  readonly titles: readonly string[];
  /** Street and postcode, folded and joined. */
  readonly streets: readonly string[];
  readonly towns: readonly string[];
  /** Cards that the user has kept apart. */
  readonly apart: ReadonlySet<Uid>;
}

/** What is compared of a card. */
export function duplicateFacts(card: Card): DuplicateFacts {
  const isOrg = card.kind === 'org';
  const phones = Object.values(card.phones ?? {}).map(({ number, features }) => ({
    number: comparableNumber(number),
    isMobile: features?.['mobile'] === true,
  }));
  const birth = Object.values(card.anniversaries ?? {}).find(({ kind }) => kind === 'birth');
  return {
    ...{ uid: card.uid, isOrg, shown: shownAs(card) },
    ...(isOrg ? NO_NAME : namesOf(card)),
    house: isOrg ? organisationWords(shownAs(card)) : [],
    nicknames: Object.values(card.nicknames ?? {}).flatMap(({ name }) => latinWords(name)),
    mails: Object.values(card.emails ?? {}).map(({ address }) => normalizeAddress(address)),
    phones: phones.map(({ number }) => number).filter((number) => number.length > 5),
    mobiles: setOf(phones.filter(({ isMobile }) => isMobile).map(({ number }) => number)),
    birth: birth ? toPartialDate(birth.date) : undefined,
    employers: Object.values(card.organizations ?? {}).map(({ name = '' }) =>
      organisationWords(name).join(' '),
    ),
    titles: Object.values(card.titles ?? {}).map(({ name }) => latinWords(name).join(' ')),
    ...placesOf(card),
    apart: setOf([
      ...Object.keys(card['cordialis.example:apart'] ?? {}),
      ...Object.keys(card['cordialis.example:bundled'] ?? {}),
    ]),
  };
}

/** Most sets are empty, and 100,000 empty ones would have to be allocated and collected. */
const EMPTY: ReadonlySet<string> = new Set();

function setOf(values: readonly string[]): ReadonlySet<string> {
  return values.length === 0 ? EMPTY : new Set(values);
}

const NO_NAME = { given: [], surname: [], generation: '' };

function namesOf({ name }: Card): Pick<DuplicateFacts, 'given' | 'surname' | 'generation'> {
  const parts = name?.components ? name : name?.full === undefined ? undefined : parseName(name.full);
  const of = (...kinds: string[]) =>
    (parts?.components ?? []).flatMap(({ kind, value }) => (kinds.includes(kind) ? nameWords(value) : []));
  const given = of('given', 'given2');
  const surname = of('surname', 'surname2');
  return { given, surname, generation: of('generation').join(' ') };
}

/** One letter and a point are an initial in any script, however many letters its sign has in Latin ones: さ. is s. */
function nameWords(value: string): string[] {
  const words = latinWords(value);
  return /^\p{L}\.$/u.test(value.trim()) ? words.map((word) => word.charAt(0)) : words;
}

/**
 * A number in the form in which two are compared. Without the numbering plans, which would take most of the time: what
 * the country of a national number is, the other number says, or nobody.
 */
function comparableNumber(written: string): string {
  const plain = written.replace(/^\s*tel:/i, '').replace(/\(0\)|(?:;ext=|ext\.?|x|#).*$/gi, '');
  const digits = plain.replace(/\D/g, '');
  if (/^\s*\+/.test(plain)) return `+${digits}`;
  if (/^\s*00[1-9]/.test(plain)) return `+${digits.slice(2)}`;
  return `~${digits.replace(/^0+/, '')}`;
}

function placesOf({ addresses }: Card): Pick<DuplicateFacts, 'streets' | 'towns'> {
  const streets: string[] = [];
  const towns: string[] = [];
  for (const { components = [] } of Object.values(addresses ?? {})) {
    const of = (...kinds: string[]) =>
      components.flatMap(({ kind, value }) => (kinds.includes(kind) ? latinWords(value) : [])).join('');
    const street = of('name', 'number');
    if (street !== '') streets.push(`${street} ${of('postcode')}`);
    const town = of('locality');
    if (town !== '') towns.push(town);
  }
  return { streets, towns };
}
