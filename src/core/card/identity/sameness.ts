/**
 * What one value says beside another: something else; the same; or the same, better written. A value that is written worse says the same.
 */
export type Sameness = 'different' | 'same' | 'better';

/**
 * The better of two writings of one text: one in small and capital letters before one in either, then the one with its marks, then the
 * longer one.
 */
export function isBetterText(text: string, than: string): boolean {
  const [ours, other] = [isMixed(text), isMixed(than)];
  if (ours !== other) return ours;
  return text.normalize('NFD').length > than.normalize('NFD').length;
}

function isMixed(text: string): boolean {
  return text !== text.toLowerCase() && text !== text.toUpperCase();
}
