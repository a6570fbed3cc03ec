import type { Card } from '@/core/card';
import { duplicateFacts, DuplicateIndex } from '@/core/tidy';
import type { HubDb } from '@/hub/store';

import { syncTokenOf } from './syncToken';

/** A card as a device may see it. */
export interface SeenCard {
  readonly uid: string;
  /** The last part of its address. */
  readonly href: string;
  /** Strong, with its quotes. */
  readonly etag: string;
  readonly card: Card;
  /** The change with which the book's card became what this is made of. */
  readonly seq: number;
}

/** What a device may see of the book at a moment. */
export interface DeviceView {
  readonly seq: number;
  /** Of this state (RFC 6578 §4). */
  readonly token: string;
  readonly byUid: ReadonlyMap<string, SeenCard>;
  readonly byHref: ReadonlyMap<string, SeenCard>;
  /** The index that new cards are compared with; built on first use. */
  duplicateIndex(): DuplicateIndex;
}

/** What newcomers are compared with: of all devices that see every card the same one. */
class SharedIndex {
  readonly index = new DuplicateIndex();
  private readonly seqs = new Map<string, number>();

  put(uid: string, seen: SeenCard | undefined): void {
    if (seen !== undefined && this.seqs.get(uid) === seen.seq) return;
    this.index.remove(uid);
    this.seqs.delete(uid);
    if (!seen) return;
    this.index.put(duplicateFacts(seen.card));
    this.seqs.set(uid, seen.seq);
  }
}

const shared = new WeakMap<HubDb, Map<string, SharedIndex>>();

/** The index for those who see the same of the same cards. @param shape - which and what */
function sharedIndex(db: HubDb, shape: string): SharedIndex {
  const known = shared.get(db) ?? new Map<string, SharedIndex>();
  shared.set(db, known);
  const index = known.get(shape) ?? new SharedIndex();
  known.set(shape, index);
  return index;
}

/** A view that is kept from request to request. */
export class KeptView implements DeviceView {
  seq = 0;
  /** When it was last looked at, in milliseconds. */
  usedMs = 0;
  readonly byUid = new Map<string, SeenCard>();
  readonly byHref = new Map<string, SeenCard>();
  /** Lists that are let through, with all their members. */
  readonly lists = new Map<string, Card>();
  private index: SharedIndex | undefined;

  constructor(
    private readonly db: HubDb,
    readonly stamp: string,
    /** What is seen, for a device that sees it of all people, with lists or without; undefined where only some are seen. */
    private readonly whole?: string,
  ) {}

  get token(): string {
    return syncTokenOf(this.db, { seq: this.seq });
  }

  put(uid: string, seen: SeenCard | undefined): void {
    const before = this.byUid.get(uid);
    if (before && this.byHref.get(before.href) === before) this.byHref.delete(before.href);
    this.byUid.delete(uid);
    this.index?.put(uid, seen);
    if (!seen) return;
    this.byUid.set(uid, seen);
    this.byHref.set(seen.href, seen);
  }

  putList(uid: string, list: Card | undefined): void {
    if (list) this.lists.set(uid, list);
    else {
      this.lists.delete(uid);
      this.put(uid, undefined);
    }
  }

  duplicateIndex(): DuplicateIndex {
    if (!this.index) {
      this.index = this.whole === undefined ? new SharedIndex() : sharedIndex(this.db, this.whole);
      for (const [uid, seen] of this.byUid) this.index.put(uid, seen);
    }
    return this.index.index;
  }
}
