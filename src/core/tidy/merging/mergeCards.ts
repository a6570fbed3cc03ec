import { isSameJson } from '@/core/base';
import { type Card, countriesOf, type Entry, idFor, type Uid, UNITED, type United } from '@/core/card';

import { withOneBirthday } from './mergeBirthdays';
import { withName } from './mergeNames';
import { findDifferent, formatSingle, type SingleKey, SINGLES } from './singleValues';
import { uniteEntries } from './uniteEntries';

/** Which card each single value is taken from; by default the first card that has one. */
export interface MergeChoices {
  readonly name?: Uid;
  readonly birthday?: Uid;
  readonly singles?: Partial<Record<SingleKey, Uid>>;
  /** ISO 3166-1 alpha-2, for numbers without a country code. */
  readonly country?: string;
}

/**
 * Several cards as one, with the uid of the first. Entries of one meaning become one, all others stay beside each other;
 * of single values that differ the one not taken goes to a note. The uids of the others are kept in `was`.
 *
 * @param cards - one at least
 * @returns the first card itself where there is no other
 */
export function mergeCards([first, ...others]: readonly [Card, ...Card[]], choices: MergeChoices = {}): Card {
  if (others.length === 0) return first;
  const all = [first, ...others];
  const also: string[] = [];
  const countries = countriesOf(choices.country, ...all);
  let merged: Card = first;
  for (const other of others) merged = mergeTwo(merged, other, countries, also);
  merged = withName(merged, all, choices.name, also);
  merged = withOneBirthday(merged, all, choices.birthday, also);
  return withAlso(withSingles(merged, all, choices.singles, also), also);
}

/** Single values: the chosen one, else the first card's; different ones go to the note. */
function withSingles(
  merged: Card,
  all: readonly Card[],
  chosen: MergeChoices['singles'] = {},
  also: string[],
): Card {
  let next = merged;
  for (const { key, label, options } of findDifferent(all)) {
    // Somebody may choose a card that says nothing of it.
    const saying = all.filter((one) => one[key] !== undefined);
    const taken = saying.find(({ uid }) => uid === chosen[key]) ?? saying[0];
    if (!taken) continue;
    const said = formatSingle(taken, key);
    next = { ...next, [key]: taken[key] };
    for (const [, text] of options) if (text !== said) also.push(`${label.toLowerCase()}: ${text}`);
  }
  return next;
}

/** Properties that belong to one card, or are merged separately. */
const APART = new Set<string>([
  ...['@type', 'version', 'uid', 'created', 'updated', 'prodId', 'name', 'keywords', 'relatedTo', 'members'],
  ...[
    'cordialis.example:was',
    'cordialis.example:apart',
    'cordialis.example:bundled',
    'cordialis.example:right',
    'cordialis.example:sources',
    'cordialis.example:opener',
    'cordialis.example:due',
  ],
  ...['cordialis.example:pinned', 'cordialis.example:archived', 'cordialis.example:private'],
  ...['cordialis.example:greeted', 'vCardProps', ...UNITED],
]);

function mergeTwo(mine: Card, theirs: Card, countries: readonly string[], also: string[]): Card {
  const merged: Record<string, unknown> = { ...mine };
  Object.assign(merged, unitedOf(mine, theirs, countries), flagsOf(mine, theirs));
  for (const key of [
    'keywords',
    'members',
    'cordialis.example:right',
    'cordialis.example:sources',
  ] as const) {
    const both = { ...theirs[key], ...mine[key] };
    if (Object.keys(both).length > 0) merged[key] = both;
  }
  for (const [key, value] of Object.entries(theirs)) {
    if (APART.has(key)) continue;
    const own = merged[key];
    if (own === undefined) merged[key] = value;
    else if (!isSameJson(own, value) && !Object.hasOwn(SINGLES, key))
      also.push(`${key.replace(/^.*:/, '')}: ${asText(value)}`);
  }
  const related = withoutThese(bothRelations(mine.relatedTo, theirs.relatedTo), [mine.uid, theirs.uid]);
  setOrDrop(merged, 'relatedTo', related);
  // Whoever has been greeted in a later year has been in the earlier ones.
  const [here, there] = [mine['cordialis.example:greeted'], theirs['cordialis.example:greeted']];
  setOrDrop(merged, 'cordialis.example:greeted', latestOf(here, there));
  for (const key of ['cordialis.example:apart', 'cordialis.example:bundled'] as const)
    setOrDrop(merged, key, withoutThese({ ...theirs[key], ...mine[key] }, [mine.uid, theirs.uid]));
  merged['cordialis.example:was'] = {
    ...theirs['cordialis.example:was'],
    ...mine['cordialis.example:was'],
    [theirs.uid]: mine['cordialis.example:was']?.[theirs.uid] ?? '',
  };
  if (theirs.created !== undefined && theirs.created < (mine.created ?? '9'))
    merged['created'] = theirs.created;
  const props = [...(mine.vCardProps ?? []), ...(theirs.vCardProps ?? [])];
  if (props.length > 0)
    merged['vCardProps'] = props.filter((one, i) => props.findIndex((other) => isSameJson(one, other)) === i);
  // Built from two valid cards property by property.
  return merged as Card;
}

function unitedOf(mine: Card, theirs: Card, countries: readonly string[]): Partial<Card> {
  const united: Partial<Record<United, unknown>> = {};
  const newIds = new Map<string, string>();
  for (const collection of UNITED) {
    const [own, other] = [mine[collection], theirs[collection]] as [
      Record<string, Entry> | undefined,
      Record<string, Entry> | undefined,
    ];
    if (!other) continue;
    // A title names its organisation by the id that it has on its card.
    const asked = collection === 'titles' ? withOrganisations(other, newIds) : other;
    const { entries, idOf } = uniteEntries(collection, own ?? {}, asked, countries);
    united[collection] = entries;
    if (collection === 'organizations') for (const [id, place] of idOf) newIds.set(id, place);
  }
  return united as Partial<Card>;
}

function withOrganisations(
  titles: Record<string, Entry>,
  newIds: ReadonlyMap<string, string>,
): Record<string, Entry> {
  return Object.fromEntries(
    Object.entries(titles).map(([id, title]) => {
      const known =
        typeof title['organizationId'] === 'string' ? newIds.get(title['organizationId']) : undefined;
      return [id, known === undefined ? title : { ...title, organizationId: known }];
    }),
  );
}

/** Pinned or private where one of them is; archived where both are; both openers; the earlier due day. */
function flagsOf(mine: Card, theirs: Card): Partial<Card> {
  const flags: Partial<Card> = {};
  for (const key of ['cordialis.example:pinned', 'cordialis.example:private'] as const)
    if (mine[key] === true || theirs[key] === true) flags[key] = true;
  if (mine['cordialis.example:archived'] === true)
    flags['cordialis.example:archived'] = theirs['cordialis.example:archived'] === true;
  const openers = [mine['cordialis.example:opener'], theirs['cordialis.example:opener']].filter(
    (one) => one !== undefined,
  );
  if (openers.length > 0) flags['cordialis.example:opener'] = [...new Set(openers)].join(' / ');
  const dues = [mine['cordialis.example:due'], theirs['cordialis.example:due']]
    .filter((one) => one !== undefined)
    .sort();
  if (dues[0] !== undefined) flags['cordialis.example:due'] = dues[0];
  return flags;
}

/** Values not taken go to a note of their own. */
function withAlso(card: Card, also: readonly string[]): Card {
  if (also.length === 0) return card;
  const note = { note: `Also:\n${[...new Set(also)].map((line) => `- ${line}`).join('\n')}` };
  return { ...card, notes: { ...card.notes, [idFor('notes', note, card.notes)]: note } };
}

function asText(value: unknown): string {
  return typeof value === 'string' ? value : JSON.stringify(value);
}

type Relations = NonNullable<Card['relatedTo']>;

/** All that either says of somebody: a friend here and a spouse there is both. */
function bothRelations(mine: Relations = {}, theirs: Relations = {}): Relations {
  const both: Record<string, Relations[string]> = { ...mine };
  for (const [uid, other] of Object.entries(theirs)) {
    const relation = { ...mine[uid]?.relation, ...other.relation };
    both[uid] = { ...other, ...mine[uid], ...(Object.keys(relation).length > 0 ? { relation } : {}) };
  }
  return both;
}

function latestOf(
  mine: Readonly<Record<string, string>> = {},
  theirs: Readonly<Record<string, string>> = {},
) {
  const latest = { ...theirs };
  for (const [key, year] of Object.entries(mine))
    latest[key] = (latest[key] ?? '') > year ? (latest[key] ?? '') : year;
  return latest;
}

function withoutThese<T>(record: Readonly<Record<string, T>>, keys: readonly string[]): Record<string, T> {
  return Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key)));
}

function setOrDrop(
  card: Record<string, unknown>,
  key: string,
  value: Readonly<Record<string, unknown>>,
): void {
  if (Object.keys(value).length > 0) card[key] = value;
  else delete card[key];
}
