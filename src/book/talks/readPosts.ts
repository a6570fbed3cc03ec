import type { AppThunk } from '@/book/state';
import { KEYS, parseJson } from '@/book/store';
import { errorMessage } from '@/core/base';
import type { Uid } from '@/core/card';
import { askHub } from '@/platform';

/** Posts are looked for again after an hour, in milliseconds. */
const FRESH_MS = 3_600_000;

/** What was found at an address. */
interface KeptPosts {
  readonly address: string;
  readonly atMs: number;
  /** As the hub answered; whoever shows it checks it. */
  readonly feed: unknown;
}

/** What somebody has published: what is kept, and then what is there now, where an hour has passed. */
export interface PostsRead {
  readonly feed: unknown;
  /** Why they couldn't be looked for, in words. */
  readonly fault?: string;
}

/**
 * Reads what somebody publishes at an address, through the hub.
 *
 * @param onRead - is told what is kept, and once more what has come
 */
export function readPosts(
  uid: Uid,
  address: string,
  onRead: (read: PostsRead) => void,
): AppThunk<Promise<void>> {
  return async (_, getState, { storage, writer, nowMs }) => {
    const key = `${KEYS.posts}${uid}`;
    const kept = keptIn(parseJson(await storage.getItem(key)), address);
    if (kept) onRead({ feed: kept.feed });
    if (kept && nowMs() - kept.atMs < FRESH_MS) return;
    try {
      const { pairing } = getState().hub;
      const path = `/feeds?address=${encodeURIComponent(address)}`;
      const feed = await askHub({ path, token: pairing?.token });
      writer.put(key, JSON.stringify({ address, atMs: nowMs(), feed }));
      onRead({ feed });
    } catch (error) {
      onRead({ feed: kept?.feed, fault: errorMessage(error) });
    }
  };
}

function keptIn(value: unknown, address: string): KeptPosts | undefined {
  if (typeof value !== 'object' || value === null) return undefined;
  const kept = value as Partial<KeptPosts>;
  return kept.address === address && typeof kept.atMs === 'number' ? (kept as KeptPosts) : undefined;
}
