import { type Card, deriveName, type Name, shownAs } from '@/core/card';

import type { Params } from '../../contentLines/contentLine';
import { escapePart, escapeText } from '../../contentLines/text';
import { N_KINDS } from '../read/readNaming';
import { type EntryUse, freshGroup, type PropertySheet, writeEntry } from './writeEntry';
import { isWrittenAsPhonetic, writeOlderPhonetic, writePhonetic } from './writePhonetic';
import { writePositions } from './writePositions';

/** Kinds of the longer N and the older places that repeat them (RFC 9554 §2.2). */
const REPEATED: Record<string, number> = { surname2: 0, generation: 4 };

/** Writes what names a card and what it belongs to. */
export function writeNaming(sheet: PropertySheet, card: Card): void {
  writeName(sheet, card);
  for (const [id, entry] of Object.entries(card.nicknames ?? {})) {
    writeEntry(sheet, 'NICKNAME', escapeText(entry.name), entry, { collection: 'nicknames', id });
  }
  const groups = groupsOf(sheet, card);
  for (const [id, entry] of Object.entries(card.organizations ?? {})) {
    const names = [entry.name ?? '', ...(entry.units ?? []).map((unit) => unit.name)];
    const sorts = [entry.sortAs ?? '', ...(entry.units ?? []).map((unit) => unit.sortAs ?? '')];
    const params: Params = sorts.some(Boolean) ? { 'SORT-AS': [sorts.join(',').replace(/,+$/, '')] } : {};
    writeEntry(
      sheet,
      'ORG',
      names.map(escapePart).join(';'),
      inGroup(entry, groups.get(id)),
      { collection: 'organizations', id },
      params,
    );
  }
  for (const [id, entry] of Object.entries(card.titles ?? {})) {
    const name = entry.kind === 'role' ? 'ROLE' : 'TITLE';
    const group = isGrouped(entry) ? groups.get(entry.organizationId ?? '') : undefined;
    writeEntry(sheet, name, escapeText(entry.name), inGroup(entry, group), { collection: 'titles', id });
  }
  const { grammaticalGender, pronouns } = card.speakToAs ?? {};
  if (grammaticalGender !== undefined)
    writeEntry(sheet, 'GRAMGENDER', grammaticalGender.toUpperCase(), {}, undefined);
  for (const [id, entry] of Object.entries(pronouns ?? {})) {
    writeEntry(sheet, 'PRONOUNS', escapeText(entry.pronouns), entry, { collection: 'pronouns', id });
  }
  for (const uid of Object.keys(card.members ?? {})) writeEntry(sheet, 'MEMBER', uid, {}, undefined);
  for (const [other, entry] of Object.entries(card.relatedTo ?? {})) {
    const types = Object.keys(entry.relation ?? {});
    const params: Params = types.length > 0 ? { TYPE: types } : {};
    // A bare name is no URI, which RELATED takes a value for unless told otherwise (RFC 6350 §6.6.6).
    if (!/^[a-z][\w+.-]*:/i.test(other)) params['VALUE'] = ['text'];
    writeEntry(sheet, 'RELATED', escapeText(other), entry, undefined, params);
  }
}

/** Whether an entry may share a group: a label has one of its own. */
function isGrouped({ label }: EntryUse): boolean {
  return label === undefined;
}

/** A group for each organisation at which somebody has a title (RFC 9555 §2.9.4), by its id. */
function groupsOf(
  sheet: PropertySheet,
  { organizations = {}, titles = {} }: Card,
): ReadonlyMap<string, string> {
  const groups = new Map<string, string>();
  for (const title of Object.values(titles)) {
    const { organizationId: house = '' } = title;
    const organization = organizations[house];
    if (organization && isGrouped(organization) && isGrouped(title) && !groups.has(house))
      groups.set(house, freshGroup(sheet));
  }
  return groups;
}

function inGroup<T extends EntryUse>(entry: T, group: string | undefined): T {
  return group === undefined ? entry : { ...entry, vCardParams: { ...entry.vCardParams, group } };
}

/** FN and N. Both versions ask for FN, 3.0 for N too (RFC 2426 §3.1.2, RFC 6350 §6.2.1). */
function writeName(sheet: PropertySheet, card: Card): void {
  const { name } = card;
  const isDerived = name?.full === undefined;
  const shown = isDerived ? deriveName(name) || shownAs(card) : name.full;
  const derived: Params = isDerived && sheet.version.hasLongNames ? { DERIVED: ['TRUE'] } : {};
  writeEntry(sheet, 'FN', escapeText(shown ?? ''), {}, undefined, derived);
  const components = name?.components ?? [];
  if (!name || components.length === 0) {
    if (!sheet.version.hasLongNames) writeEntry(sheet, 'N', ';;;;', {}, undefined);
    return;
  }
  writeN(sheet, name);
}

function writeN(sheet: PropertySheet, name: Name): void {
  const { hasLongNames } = sheet.version;
  const components = name.components ?? [];
  const places: string[][] = N_KINDS.map(() => []);
  const spots = components.map(({ kind, value }) => {
    const place = N_KINDS.findIndex((known) => known === kind);
    const older = REPEATED[kind];
    if (place === -1 || value === '') return undefined;
    if (older !== undefined) places[older]?.push(value);
    if (older === undefined || hasLongNames) places[place]?.push(value);
    const target = older !== undefined && !hasLongNames ? older : place;
    return [target, (places[target]?.length ?? 1) - 1] as const;
  });
  const params: Params = {};
  const positions = name.isOrdered === true ? writePositions(name, components, spots) : undefined;
  if (positions !== undefined) params['JSCOMPS'] = [positions];
  const { surname, given } = name.sortAs ?? {};
  if (hasLongNames && (surname ?? given) !== undefined) {
    params['SORT-AS'] = [given === undefined ? (surname ?? '') : `${surname ?? ''},${given}`];
  }
  const size = (places[5]?.length ?? 0) + (places[6]?.length ?? 0) > 0 && hasLongNames ? 7 : 5;
  const value = places
    .slice(0, size)
    .map((values) => values.map(escapePart).join(','))
    .join(';');
  const isSpoken = isWrittenAsPhonetic(sheet, name, N_KINDS);
  if (isSpoken) params['ALTID'] = ['1'];
  writeEntry(sheet, 'N', value, name.vCardParams ? { vCardParams: name.vCardParams } : {}, undefined, params);
  if (isSpoken) writePhonetic(sheet, 'N', name, N_KINDS, '1');
  else writeOlderPhonetic(sheet, name);
  if (!hasLongNames && surname !== undefined)
    writeEntry(sheet, 'SORT-STRING', escapeText(surname), {}, undefined);
}
