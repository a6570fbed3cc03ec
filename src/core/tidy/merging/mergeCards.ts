import { formatPartialDate, isSameJson, type PartialDate, toPartialDate } from '@/core/base';
import {
  type Card,
  type Entry,
  idFor,
  latinWords,
  shownAs,
  type Uid,
  UNITED,
  type United,
} from '@/core/card';

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
  let merged: Card = first;
  for (const other of others) merged = mergeTwo(merged, other, choices.country, also);
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
    const taken = all.find(({ uid }) => uid === chosen[key]) ?? all.find((one) => one[key] !== undefined);
    if (!taken || taken[key] === undefined) continue;
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

function mergeTwo(mine: Card, theirs: Card, country: string | undefined, also: string[]): Card {
  const merged: Record<string, unknown> = { ...mine };
  Object.assign(merged, unitedOf(mine, theirs, country), flagsOf(mine, theirs));
  for (const key of [
    'keywords',
    'members',
    'cordialis.example:greeted',
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
  const related = withoutThese({ ...theirs.relatedTo, ...mine.relatedTo }, [mine.uid, theirs.uid]);
  setOrDrop(merged, 'relatedTo', related);
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

function unitedOf(mine: Card, theirs: Card, country: string | undefined): Partial<Card> {
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
    const { entries, idOf } = uniteEntries(collection, own ?? {}, asked, country);
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

/** The name that was chosen, else the fullest; one that says something else goes to the note. */
function withName(merged: Card, all: readonly Card[], chosen: Uid | undefined, also: string[]): Card {
  const named = all.filter(({ name }) => name !== undefined);
  const fullness = (one: Card) => latinWords(shownAs(one)).length * 100 + shownAs(one).length;
  const fullest = [...named].sort((a, b) => fullness(b) - fullness(a))[0];
  const taken = named.find(({ uid }) => uid === chosen) ?? fullest;
  if (!taken?.name) return merged;
  const words = latinWords(shownAs(taken));
  for (const one of named)
    if (
      !latinWords(shownAs(one)).every((word) =>
        words.some((other) => other === word || (word.length === 1 && other.startsWith(word))),
      )
    )
      also.push(`name: ${shownAs(one)}`);
  return { ...merged, name: taken.name };
}

/** There is only one birthday: of different ones the chosen, else the most complete; the others go to the note. */
function withOneBirthday(merged: Card, all: readonly Card[], chosen: Uid | undefined, also: string[]): Card {
  const births = Object.entries(merged.anniversaries ?? {}).filter(([, { kind }]) => kind === 'birth');
  if (births.length < 2) return merged;
  const chosenDate = Object.values(all.find(({ uid }) => uid === chosen)?.anniversaries ?? {}).find(
    ({ kind }) => kind === 'birth',
  )?.date;
  const taken =
    births.find(([, { date }]) => chosenDate !== undefined && isSameJson(date, chosenDate)) ??
    [...births].sort(([, a], [, b]) => partsOf(toPartialDate(b.date)) - partsOf(toPartialDate(a.date)))[0];
  const rest = { ...merged.anniversaries };
  for (const [id, { date }] of births) {
    if (id === taken?.[0]) continue;
    delete rest[id];
    const [mine, theirs] = [toPartialDate(date), taken && toPartialDate(taken[1].date)];
    if (!theirs || !isPartOf(mine, theirs)) also.push(`birthday: ${formatPartialDate(mine, 'en-GB')}`);
  }
  return { ...merged, anniversaries: rest };
}

function partsOf({ year, month, day }: PartialDate): number {
  return [year, month, day].filter((part) => part !== undefined).length;
}

function isPartOf(part: PartialDate, whole: PartialDate): boolean {
  return (['year', 'month', 'day'] as const).every(
    (key) => part[key] === undefined || part[key] === whole[key],
  );
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
