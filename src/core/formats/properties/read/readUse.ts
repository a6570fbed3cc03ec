import type { ContentLine } from '../../contentLines/contentLine';
import type { Draft } from './draft';

/** What TYPE, PREF, the group and the parameters without an equivalent say about an entry. */
interface Use {
  contexts?: Record<string, true>;
  features?: Record<string, true>;
  pref?: number;
  label?: string;
  vCardParams?: Record<string, string | string[]>;
}

/** How TYPE's values read for one kind of property: by lower-case value, the set and the member of it. */
export type TypeTable = Readonly<Record<string, readonly ['contexts' | 'features', string]>>;

/** RFC 9555 §2.2.1: the two contexts that any property may have. */
export const CONTEXT_TYPES: TypeTable = { home: ['contexts', 'private'], work: ['contexts', 'work'] };

/** Parameters that say how the value is written, or are read elsewhere. */
const SPENT = new Set(['TYPE', 'PREF', 'PROP-ID', 'ALTID', 'VALUE', 'ENCODING', 'CHARSET', 'DERIVED']);

/**
 * Reads what all properties have in common.
 *
 * @param spent - parameters that the caller has read; what is left is kept in vCardParams (RFC 9555 §3.2.2)
 */
export function readUse(
  draft: Draft,
  line: ContentLine,
  types = CONTEXT_TYPES,
  spent: readonly string[] = [],
): Use {
  const use: Use = {};
  if (line.group === undefined && hasNoParams(line)) return use;
  const kept: Record<string, string | string[]> = {};
  const unknown: string[] = [];
  for (const type of line.params['TYPE'] ?? []) {
    const lower = type.toLowerCase();
    const known = Object.hasOwn(types, lower) ? types[lower] : undefined;
    // RFC 2426 §3.3.1: preference was a type before it was a parameter.
    if (lower === 'pref') use.pref = 1;
    else if (known) (use[known[0]] ??= {})[known[1]] = true;
    else if (lower !== '') unknown.push(lower);
  }
  const pref = Number(line.params['PREF']?.[0]);
  if (Number.isInteger(pref) && pref >= 1 && pref <= 100) use.pref = pref;
  if (unknown.length > 0) kept['type'] = oneOrMany(unknown);
  for (const [name, values] of Object.entries(line.params)) {
    if (!SPENT.has(name) && !spent.includes(name)) kept[name.toLowerCase()] = oneOrMany(values);
  }
  const label = line.group === undefined ? undefined : draft.labels.get(line.group.toLowerCase());
  if (label !== undefined) use.label = label;
  else if (line.group !== undefined) kept['group'] = line.group;
  if (Object.keys(kept).length > 0) use.vCardParams = kept;
  return use;
}

function hasNoParams({ params }: ContentLine): boolean {
  for (const _ in params) return false;
  return true;
}

function oneOrMany(values: string[]): string | string[] {
  return values.length === 1 ? (values[0] ?? '') : values;
}
