/**
 * A function of a text that remembers what it has made of each.
 *
 * @param most - the answers that are kept; with one more it begins anew
 */
export function cached<T>(most: number, make: (text: string) => T): (text: string) => T {
  const kept = new Map<string, T>();
  return (text) => {
    const known = kept.get(text);
    if (known !== undefined) return known;
    if (kept.size >= most) kept.clear();
    const made = make(text);
    kept.set(text, made);
    return made;
  };
}
