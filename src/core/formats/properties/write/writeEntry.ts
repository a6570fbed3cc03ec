import { type Collection, nextId } from '@/core/card';

import type { ContentLine, Params } from '../../contentLines/contentLine';
import { escapeText } from '../../contentLines/text';
import type { VcardVersion } from '../version';

/** What any entry may say about its use (RFC 9553 §1.5). */
export interface EntryUse {
  readonly contexts?: Readonly<Record<string, true>>;
  readonly features?: Readonly<Record<string, true>>;
  readonly pref?: number;
  readonly label?: string;
  readonly vCardParams?: Readonly<Record<string, string | string[]>>;
}

/** The properties of one card while they are being written. */
export interface PropertySheet {
  readonly version: VcardVersion;
  readonly lines: ContentLine[];
  /** Groups in use, so that a label's group is a new one. */
  readonly groups: Set<string>;
  /** Ids as a reader will give them, by collection. */
  readonly ids: Map<string, Record<string, true>>;
}

/** TYPE values for contexts and features whose names differ (RFC 9555 §2.2.1, RFC 6350 §6.4.1). */
const TYPE_OF: Record<string, string> = { private: 'home', mobile: 'cell' };

/**
 * Writes one entry as a property with all that is said about its use.
 *
 * @param place - the entry's collection and id; the id is written only where a reader would give another
 */
export function writeEntry(
  sheet: PropertySheet,
  name: string,
  value: string,
  entry: EntryUse,
  place: { collection: Collection; id: string } | undefined,
  params: Params = {},
): void {
  const { group, params: all } = usageParams(sheet, entry, params);
  if (place && needsId(sheet, place)) all['PROP-ID'] = [place.id];
  sheet.lines.push({ ...(group === undefined ? {} : { group }), name, params: all, value, line: 0 });
  if (entry.label !== undefined && group !== undefined) {
    sheet.lines.push({ group, name: 'X-ABLabel', params: {}, value: escapeText(entry.label), line: 0 });
  }
}

function usageParams(
  sheet: PropertySheet,
  entry: EntryUse,
  params: Params,
): { group: string | undefined; params: Params } {
  const { type: keptTypes, group: keptGroup, ...kept } = entry.vCardParams ?? {};
  const types = [...Object.keys(entry.contexts ?? {}), ...Object.keys(entry.features ?? {})].map(
    (key) => TYPE_OF[key] ?? key,
  );
  types.push(...many(keptTypes));
  if (entry.pref === 1 && sheet.version.prefersByType) types.push('pref');
  const all: Params = { ...params };
  if (types.length > 0) all['TYPE'] = [...(params['TYPE'] ?? []), ...types];
  if (entry.pref !== undefined && !(sheet.version.prefersByType && entry.pref === 1))
    all['PREF'] = [String(entry.pref)];
  for (const [name, value] of Object.entries(kept)) all[name.toUpperCase()] = many(value);
  const group = entry.label === undefined ? many(keptGroup)[0] : freshGroup(sheet);
  return { group, params: all };
}

function many(value: string | string[] | undefined): string[] {
  if (value === undefined) return [];
  return Array.isArray(value) ? value : [value];
}

/** A group that no line is in yet. */
export function freshGroup(sheet: PropertySheet): string {
  let count = 1;
  while (sheet.groups.has(`g${count}`)) count += 1;
  sheet.groups.add(`g${count}`);
  return `g${count}`;
}

function needsId(sheet: PropertySheet, { collection, id }: { collection: Collection; id: string }): boolean {
  const given = sheet.ids.get(collection) ?? {};
  const expected = nextId(collection, given);
  sheet.ids.set(collection, { ...given, [id]: true });
  return expected !== id;
}
