import { splitValue, unescapeText } from '../../contentLines/text';

/** Ordered components and what stands between them. */
interface Ordered<K extends string> {
  components: { kind: K | 'separator'; value: string }[];
  isOrdered: true;
  defaultSeparator?: string;
}

/**
 * Reads JSCOMPS (RFC 9555 §3.3.1), which names the places of a compound value in the order they are shown:
 * ";1;0" is given name, surname; "s,\, ;1" is the default separator ", " then the given name; an entry
 * "s,…" behind the first is a separator; "2,1" is the second value at place 2.
 *
 * @returns undefined where there is none, or where it names what isn't there
 */
export function readPositions<K extends string>(
  jscomps: string | undefined,
  places: readonly string[][],
  kinds: readonly K[],
): Ordered<K> | undefined {
  if (jscomps === undefined) return undefined;
  const [head = '', ...entries] = splitValue(jscomps, ';');
  const components: Ordered<K>['components'] = [];
  for (const entry of entries) {
    const separator = readSeparator(entry);
    if (separator !== undefined) {
      components.push({ kind: 'separator', value: separator });
      continue;
    }
    const [place = NaN, index = 0] = entry.split(',').map(Number);
    const kind = kinds[place];
    const value = places[place]?.[index];
    if (kind === undefined || value === undefined) return undefined;
    components.push({ kind, value });
  }
  if (components.length === 0) return undefined;
  const defaultSeparator = readSeparator(head);
  return { components, isOrdered: true, ...(defaultSeparator === undefined ? {} : { defaultSeparator }) };
}

function readSeparator(entry: string): string | undefined {
  return entry.startsWith('s,') ? unescapeText(entry.slice(2)) : undefined;
}
