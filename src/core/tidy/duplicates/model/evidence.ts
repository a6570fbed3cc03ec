/** One thing that speaks for or against two cards being the same. */
export interface Evidence {
  readonly kind: 'name' | 'mail' | 'number' | 'birthday' | 'work' | 'address' | 'generation';
  /** In words: "same mail address". */
  readonly words: string;
  /** In bits: positive for, negative against. */
  readonly bits: number;
}

/** Whether two lists have a value in common. */
export function haveShared(a: readonly string[], b: readonly string[]): boolean {
  return a.some((value) => b.includes(value));
}

/** A value held within bounds. */
export function clamp(value: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, value));
}
