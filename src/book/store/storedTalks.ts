import type { Talk } from '@/core/talks';

/** The imports that talks came with, and the ids of those that came with none, as they are queued. */
export function intakesOf(talks: readonly Talk[]): string[] {
  return [...new Set(talks.map(({ id, intake }) => (intake === undefined ? id : `intake:${intake}`)))];
}

/** The first entries of a map. */
export function* firstOf<K, V>(map: ReadonlyMap<K, V>, count: number): Generator<[K, V]> {
  let left = count;
  for (const entry of map) {
    if (left-- <= 0) return;
    yield entry;
  }
}

/** A talk as it is stored, before anything of it but its name has been looked at. */
export interface StoredTalk {
  readonly id: string;
  readonly intake?: unknown;
}

/** A stored shard as it is: what this version can't read is written back as it was. */
export function parseList(text: string | null | undefined): StoredTalk[] {
  try {
    const list: unknown = JSON.parse(text ?? '[]');
    return Array.isArray(list) ? (list as StoredTalk[]) : [];
  } catch {
    return [];
  }
}
