/** A non-negative integer from a query, 0 where it is missing; undefined for anything else. */
export function numberOf(value: unknown): number | undefined {
  const number = Number(value ?? 0);
  return Number.isSafeInteger(number) && number >= 0 ? number : undefined;
}
