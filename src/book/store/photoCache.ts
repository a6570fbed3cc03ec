import type { TextStorage } from '@/platform';

import { KEYS } from './keys';

/** Photos kept in memory at most; a phone's screen shows about ten, a wide one thirty. */
const MAX_CACHED = 300;

/** Reads photos when they are first looked at, and keeps the last ones. */
export class PhotoCache {
  private readonly cache = new Map<string, Promise<string | null>>();

  /** @param waiting - the text that waits to be written under a key, which is not in the store yet */
  constructor(
    private readonly storage: TextStorage,
    private readonly waiting: (key: string) => string | undefined = () => undefined,
  ) {}

  /** The data: URI of a photo; null where its bytes are missing. */
  get(blobId: string): Promise<string | null> {
    const known = this.cache.get(blobId);
    if (known) return known;
    const waiting = this.waiting(`${KEYS.photo}${blobId}`);
    if (waiting !== undefined) return Promise.resolve(waiting);
    const read = this.storage.getItem(`${KEYS.photo}${blobId}`).catch(() => null);
    this.cache.set(blobId, read);
    const [oldest] = this.cache.keys();
    if (this.cache.size > MAX_CACHED && oldest !== undefined) this.cache.delete(oldest);
    return read;
  }

  /** The photo as small as rows show it, where there is such a one, else as it is. */
  getSmall(blobId: string): Promise<string | null> {
    const key = `${KEYS.thumb}${blobId}`;
    const known = this.cache.get(key);
    if (known) return known;
    const read = this.storage.getItem(key).then(
      (small) => small ?? this.get(blobId),
      () => null,
    );
    this.cache.set(key, read);
    return read;
  }

  /** Keeps a small copy of a photo. */
  async putSmall(blobId: string, uri: string): Promise<void> {
    await this.storage.setMany({ [`${KEYS.thumb}${blobId}`]: uri });
    this.cache.delete(`${KEYS.thumb}${blobId}`);
  }

  /** Many at once, for export; not kept in memory. */
  async getMany(blobIds: readonly string[]): Promise<Record<string, string | null>> {
    const stored = await this.storage.getMany(blobIds.map((id) => `${KEYS.photo}${id}`));
    return Object.fromEntries(
      blobIds.map((id) => [id, this.waiting(`${KEYS.photo}${id}`) ?? stored[`${KEYS.photo}${id}`] ?? null]),
    );
  }

  /** Writes photos; resolves when they are in the store. */
  async put(photos: Readonly<Record<string, string>>): Promise<void> {
    const entries = Object.entries(photos);
    if (entries.length === 0) return;
    await this.storage.setMany(Object.fromEntries(entries.map(([id, uri]) => [`${KEYS.photo}${id}`, uri])));
    for (const [id] of entries) this.cache.delete(id);
  }
}
