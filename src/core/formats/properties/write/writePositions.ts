/** Components in their order, with what joins them. */
interface Ordered {
  readonly defaultSeparator?: string;
}

/**
 * Writes JSCOMPS (RFC 9555 §3.3.1); readPositions says how it reads.
 *
 * @param spots - for each component its place in the compound value and its index there; undefined for separators
 * @returns undefined where a component has no place, since the order could not be read back
 */
export function writePositions(
  { defaultSeparator }: Ordered,
  components: readonly { readonly kind: string; readonly value: string }[],
  spots: readonly (readonly [number, number] | undefined)[],
): string | undefined {
  const entries: string[] = [];
  for (const [i, { kind, value }] of components.entries()) {
    const spot = spots[i];
    if (kind === 'separator') entries.push(formatSeparator(value));
    else if (spot) entries.push(spot[1] === 0 ? String(spot[0]) : spot.join(','));
    else return undefined;
  }
  return [defaultSeparator === undefined ? '' : formatSeparator(defaultSeparator), ...entries].join(';');
}

function formatSeparator(text: string): string {
  return `s,${text.replace(/[\\,;]/g, '\\$&')}`;
}
