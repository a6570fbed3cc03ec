import { type Card, deriveName, type Name, type NameComponent } from '@/core/card';

import type { ContentLine } from '../../contentLines/contentLine';
import { readCompound, readTextList, splitValue, unescapeText } from '../../contentLines/text';
import { addEntry, addOrganisation, type PropertyReader } from './draft';
import { readPositions } from './readPositions';
import { readUse } from './readUse';

/** RFC 6350 §6.2.2 and RFC 9554 §2.2: what stands at each place of N. */
export const N_KINDS = [
  'surname',
  'given',
  'given2',
  'title',
  'credential',
  'surname2',
  'generation',
] as const;

/** The order in which unordered components are kept. */
const KEPT_ORDER = ['title', 'given', 'given2', 'surname', 'surname2', 'generation', 'credential'];

/** N. The longer form repeats surname2 and generation in older places (RFC 9554 §2.2); they are read once. */
const readN: PropertyReader = (draft, line) => {
  const places = readCompound(line.value);
  const positions = readPositions(line.params['JSCOMPS']?.[0], places, N_KINDS);
  const name: Name = (draft.card.name ??= {});
  if (positions) {
    Object.assign(name, positions);
  } else {
    const components = unorderedComponents(places);
    if (components.length === 0)
      return draft.card.name.full === undefined && line.value === '' ? undefined : ['name'];
    name.components = components;
  }
  const sortAs = line.params['SORT-AS'];
  if (sortAs) name.sortAs = readSortAs(sortAs);
  const { vCardParams } = readUse(draft, line, {}, ['JSCOMPS', 'SORT-AS']);
  if (vCardParams) name.vCardParams = vCardParams;
  return ['name'];
};

function unorderedComponents(places: readonly string[][]): NameComponent[] {
  const repeated = new Map([
    ['surname', new Set(places[5])],
    ['credential', new Set(places[6])],
  ]);
  const components = N_KINDS.flatMap((kind, i) =>
    (places[i] ?? []).filter((value) => !repeated.get(kind)?.has(value)).map((value) => ({ kind, value })),
  );
  return KEPT_ORDER.flatMap((kind) => components.filter((component) => component.kind === kind));
}

/** SORT-AS="Harten,Rene" (RFC 6350 §5.9): by place, surname then given name. */
function readSortAs(values: readonly string[]): Record<string, string> {
  const [surname = '', given = ''] = values.length > 1 ? values : splitValue(values[0] ?? '', ',');
  return { ...(surname === '' ? {} : { surname }), ...(given === '' ? {} : { given }) };
}

/** FN. What the components give anyway is not said twice. */
const readFN: PropertyReader = (draft, line) => {
  const full = unescapeText(line.value).trim();
  const isDerived = line.params['DERIVED']?.[0]?.toLowerCase() === 'true';
  if (full === '' || isDerived || deriveName(draft.card.name) === full) return ['name', 'full'];
  const name: Name = (draft.card.name ??= {});
  // RFC 6350 §6.2.1 allows several; the second is kept beside the card.
  if (name.full !== undefined) return undefined;
  name.full = full;
  return ['name', 'full'];
};

const readNickname: PropertyReader = (draft, line) => {
  const [first, ...rest] = readTextList(line.value).map((name) =>
    addEntry(draft, 'nicknames', line, { name, ...readUse(draft, line) }),
  );
  return rest.at(-1) ?? first;
};

const readOrg: PropertyReader = (draft, line) => {
  const [name = '', ...units] = splitValue(line.value, ';').map((part) => unescapeText(part).trim());
  const [sortAs = '', ...unitsSortAs] = readSortList(line);
  const named = units.filter(Boolean).map((unit, i) => {
    const sort = unitsSortAs[i];
    return sort ? { name: unit, sortAs: sort } : { name: unit };
  });
  if (name === '' && named.length === 0) return undefined;
  const path = addEntry(draft, 'organizations', line, {
    ...(name === '' ? {} : { name }),
    ...(named.length === 0 ? {} : { units: named }),
    ...(sortAs === '' ? {} : { sortAs }),
    ...readUse(draft, line, undefined, ['SORT-AS']),
  });
  addOrganisation(draft, line, 'orgs', path[1]);
  return path;
};

function readSortList(line: ContentLine): string[] {
  const values = line.params['SORT-AS'] ?? [];
  return values.length === 1 ? (values[0] ?? '').split(',') : values;
}

function titleReader(kind: 'title' | 'role'): PropertyReader {
  return (draft, line) => {
    const name = unescapeText(line.value).trim();
    if (name === '') return undefined;
    const path = addEntry(draft, 'titles', line, { name, kind, ...readUse(draft, line) });
    addOrganisation(draft, line, 'titles', path[1]);
    return path;
  };
}

const readGramGender: PropertyReader = (draft, line) => {
  draft.card.speakToAs = { ...draft.card.speakToAs, grammaticalGender: line.value.trim().toLowerCase() };
  return ['speakToAs', 'grammaticalGender'];
};

const readPronouns: PropertyReader = (draft, line) => {
  const entries = { ...draft.card.speakToAs?.pronouns };
  const id = line.params['PROP-ID']?.[0] ?? `r${Object.keys(entries).length + 1}`;
  entries[id] = { pronouns: unescapeText(line.value), ...readUse(draft, line) };
  draft.card.speakToAs = { ...draft.card.speakToAs, pronouns: entries };
  return ['speakToAs', 'pronouns', id];
};

/** SORT-STRING of vCard 3.0 (RFC 2426 §3.6.5). */
const readSortString: PropertyReader = (draft, line) => {
  const surname = unescapeText(line.value).trim();
  if (surname === '' || !draft.card.name) return undefined;
  draft.card.name.sortAs = { surname, ...draft.card.name.sortAs };
  return ['name', 'sortAs', 'surname'];
};

const readMember: PropertyReader = (draft, line) => {
  const uid = unescapeText(line.value).trim();
  if (uid === '' || Object.keys(line.params).some((name) => name !== 'VALUE')) return undefined;
  draft.card.members = { ...draft.card.members, [uid]: true };
  return ['members', uid];
};

const readRelated: PropertyReader = (draft, line) => {
  const other = unescapeText(line.value).trim();
  if (other === '' || draft.card.relatedTo?.[other]) return undefined;
  const types = (line.params['TYPE'] ?? []).map((type) => [type.toLowerCase(), true] as const);
  const relation: Record<string, true> = Object.fromEntries(types);
  const entry: NonNullable<Card['relatedTo']>[string] = types.length > 0 ? { relation } : {};
  const { TYPE: _, ...params } = line.params;
  const { vCardParams } = readUse(draft, { ...line, params });
  if (vCardParams) entry.vCardParams = vCardParams;
  draft.card.relatedTo = { ...draft.card.relatedTo, [other]: entry };
  return ['relatedTo', other];
};

/** Readers of the properties that name a card and what it belongs to. */
export const namingReaders: Record<string, PropertyReader> = {
  N: readN,
  FN: readFN,
  NICKNAME: readNickname,
  ORG: readOrg,
  TITLE: titleReader('title'),
  ROLE: titleReader('role'),
  GRAMGENDER: readGramGender,
  PRONOUNS: readPronouns,
  'SORT-STRING': readSortString,
  MEMBER: readMember,
  RELATED: readRelated,
};
