/** A whole number from 0 on out of a query, 0 where it isn't said; undefined for anything else. */
export function numberOf(value: unknown): number | undefined {
  const number = Number(value ?? 0);
  return Number.isSafeInteger(number) && number >= 0 ? number : undefined;
}
