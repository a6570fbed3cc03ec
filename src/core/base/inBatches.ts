/** Splits a list into batches of a size, the last one shorter, so that the page can be yielded to in between. */
export function* inBatches<T>(list: readonly T[], size: number): Generator<readonly T[]> {
  for (let start = 0; start < list.length; start += size) yield list.slice(start, start + size);
}
