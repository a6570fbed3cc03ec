import { formatLanguage, formatPartialDate, toPartialDate } from '@/core/base';
import { texts } from '@/texts/card/table';

import { formatName } from '../name/formatName';
import { nameParts } from '../name/nameParts';
import { type SortOrder, sortText } from '../name/sortText';
import { preferredEntry } from '../preferEntry';
import type { Card } from '../schema/types';
import { organisationOf } from '../secondLine';

/**
 * The order of two cells by a collator; those that say nothing come last, whichever way round the column is.
 *
 * @param isDescending - the caller turns the answer round
 */
export function compareCells(a: string, b: string, collator: Intl.Collator, isDescending: boolean): number {
  if (a === '' || b === '') return a === b ? 0 : (a === '') === isDescending ? -1 : 1;
  return collator.compare(a, b);
}

/** A column of the table of the book. */
export interface TableColumn {
  /** Custom fields begin with `own:`, followed by their name. */
  readonly id: string;
  readonly title: string;
  /** Whether its cells can be written. */
  readonly isWritable: boolean;
  /** In pixels at the usual size of type, until the user has set another. */
  readonly width: number;
  /** What a cell says; '' for nothing. */
  readonly read: (card: Card) => string;
  /** What it is sorted by, where that is not what it says. */
  readonly sortText?: (card: Card) => string;
}

/** Prefix of the id of a custom field's column. */
const OWN = 'own:';

const NARROW = 120;
const MIDDLE = 170;
const BROAD = 230;

type Short = readonly [id: string, title: string, width: number, read: TableColumn['read']];

const WRITABLE: readonly Short[] = [
  ['name', texts.name, BROAD, (card) => formatName(card.name)],
  ['given', texts.givenName, NARROW, (card) => nameParts(card.name, 'given')],
  ['surname', texts.surname, MIDDLE, (card) => nameParts(card.name, 'surname')],
  ['nickname', texts.nickname, NARROW, (card) => listed(card.nicknames, ({ name }) => name)],
  ['organisation', texts.organisation, BROAD, organisationOf],
  ['department', texts.department, MIDDLE, departmentOf],
  ['post', texts.post, MIDDLE, postOf],
  ['number', texts.number, MIDDLE, (card) => preferredEntry(card.phones)?.number.replace(/^tel:/, '') ?? ''],
  ['mail', texts.mail, BROAD, (card) => preferredEntry(card.emails)?.address ?? ''],
  ['web', texts.web, MIDDLE, (card) => preferredEntry(card.links)?.uri ?? ''],
  ['street', texts.street, MIDDLE, (card) => addressPart(card, 'number', 'name')],
  ['postcode', texts.postcode, NARROW, (card) => addressPart(card, 'postcode')],
  ['town', texts.town, MIDDLE, (card) => addressPart(card, 'locality')],
  ['region', texts.region, NARROW, (card) => addressPart(card, 'region')],
  ['country', texts.country, NARROW, (card) => addressPart(card, 'country')],
  ['tags', texts.tags, MIDDLE, (card) => Object.keys(card.keywords ?? {}).join(', ')],
  ['note', texts.note, BROAD, (card) => preferredEntry(card.notes)?.note ?? ''],
  ['opener', texts.opener, BROAD, (card) => card['cordialis.example:opener'] ?? ''],
];

/** What cells are read and sorted by. */
export interface TableOptions {
  /** BCP 47, for dates and languages in words. */
  readonly locale?: string;
  /** Names are sorted as the Book sorts them. */
  readonly order: SortOrder;
}

/** The columns that every book has. */
export function tableColumns({ locale, order }: TableOptions): TableColumn[] {
  const birthday = (card: Card) =>
    Object.values(card.anniversaries ?? {}).find(({ kind }) => kind === 'birth')?.date;
  const writable = WRITABLE.map(([id, title, width, read]) => ({
    ...{ id, title, width, read, isWritable: true },
    ...(id === 'name' ? { sortText: (card: Card) => sortText(card, order) } : {}),
  }));
  return [
    ...writable,
    {
      id: 'birthday',
      title: texts.birthday,
      width: MIDDLE,
      isWritable: true,
      read: (card) => {
        const date = birthday(card);
        return date ? formatPartialDate(toPartialDate(date), locale) : '';
      },
      sortText: (card) => {
        const date = birthday(card);
        if (!date) return '';
        const { year = 0, month = 0, day = 0 } = toPartialDate(date);
        return `${pad(year, 4)}-${pad(month, 2)}-${pad(day, 2)}`;
      },
    },
    {
      id: 'languages',
      title: texts.languages,
      width: MIDDLE,
      isWritable: true,
      read: (card) => listed(card.preferredLanguages, ({ language }) => formatLanguage(language, locale)),
    },
    {
      id: 'kind',
      title: texts.kind,
      width: NARROW,
      isWritable: false,
      read: ({ kind }) => (kind === 'org' ? texts.organisation : texts.person),
    },
    dayColumn('added', texts.added, ({ created }) => created),
    dayColumn('changed', texts.changed, ({ updated }) => updated),
  ];
}

/** A column for each custom field that some card has, by name. */
export function customColumns(cards: readonly Card[]): TableColumn[] {
  const titles = new Map<string, string>();
  for (const card of cards)
    for (const { label } of Object.values(card['cordialis.example:fields'] ?? {}))
      if (!titles.has(label.toLowerCase())) titles.set(label.toLowerCase(), label);
  return [...titles].sort().map(([key, title]) => ({
    id: `${OWN}${key}`,
    title,
    width: MIDDLE,
    isWritable: true,
    read: (card) =>
      Object.values(card['cordialis.example:fields'] ?? {}).find(({ label }) => label.toLowerCase() === key)
        ?.value ?? '',
  }));
}

function dayColumn(id: string, title: string, at: (card: Card) => string | undefined): TableColumn {
  return { id, title, width: NARROW, isWritable: false, read: (card) => at(card)?.slice(0, 10) ?? '' };
}

function departmentOf(card: Card): string {
  const units = Object.values(card.organizations ?? {})[0]?.units ?? [];
  return units.map(({ name }) => name).join('; ');
}

/** The post at the first organisation, as the form has it. */
function postOf(card: Card): string {
  const [house] = Object.keys(card.organizations ?? {});
  const post = Object.values(card.titles ?? {}).find(({ kind, organizationId }, at) => {
    const isThere = organizationId === undefined || organizationId === house;
    return kind !== 'role' && (isThere || (house === undefined && at === 0));
  });
  return post?.name ?? '';
}

function addressPart(card: Card, ...kinds: readonly string[]): string {
  const address = preferredEntry(card.addresses);
  const text = (address?.components ?? [])
    .filter(({ kind }) => kinds.includes(kind))
    .map(({ value }) => value)
    .join(' ');
  if (text !== '' || !kinds.includes('name')) return text;
  return address?.components === undefined ? (address?.full ?? '') : '';
}

function listed<T>(entries: Readonly<Record<string, T>> | undefined, read: (entry: T) => string): string {
  return Object.values(entries ?? {})
    .map(read)
    .join(', ');
}

function pad(figure: number, width: number): string {
  return String(figure).padStart(width, '0');
}
