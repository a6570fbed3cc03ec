import { type Remote, wrap } from 'comlink';

import type { ExtractRequest, ExtractResult, FilePair, InspectorApi, Signed } from '@/book/workers';
import { inBatches } from '@/core/base';
import type { Card, Uid } from '@/core/card';
import type { News } from '@/core/talks';
import type { Cluster, Fault, FaultOptions } from '@/core/tidy';

import type { UidMap } from './uidMap';

export type { ExtractResult };

/** What compares single cards with the book, wherever it lives. */
export interface InspectorClient {
  /** For each card those of the book that are the same, the surest first. */
  duplicatesOf(cards: readonly Card[], book: UidMap<Card>): Promise<Cluster[]>;
  /** What is wrong with cards by themselves. */
  faultsOf(cards: readonly Card[], options: FaultOptions): Promise<Fault[]>;
  /** Reads a card out of a text, and says whom of the book it looks like. */
  extract(wish: ExtractRequest, book: UidMap<Card>): Promise<ExtractResult>;
  /** What signatures say of those who wrote them. */
  newsIn(signed: readonly Signed[], country: string): Promise<News[]>;
  /** The first card with what the second says beside it. */
  unite(mine: Card, theirs: Card, country: string): Promise<Card>;
  /** Each card of the book with what a card of a file says beside it or otherwise. */
  importOnto(pairs: readonly FilePair[], country: string): Promise<Card[]>;
}

/** Cards handed over per batch, so that the page is never blocked by a whole book. */
const PIECE = 500;
/** How long the worker keeps the book after it was asked last, in milliseconds. */
const IDLE_MS = 180_000;

/** Starts a worker when it is first asked, tells it what has changed since, and ends it when it isn't asked any more. */
export class InspectorWorker implements InspectorClient {
  private worker: Worker | undefined;
  private remote: Remote<InspectorApi> | undefined;
  private sent = new Map<Uid, Card>();
  private ending: ReturnType<typeof setTimeout> | undefined;
  private turn: Promise<unknown> = Promise.resolve();

  duplicatesOf(cards: readonly Card[], book: UidMap<Card>): Promise<Cluster[]> {
    return this.inTurn(async (api) => {
      await this.send(api, book);
      return api.duplicatesOf(cards);
    });
  }

  faultsOf(cards: readonly Card[], options: FaultOptions): Promise<Fault[]> {
    return this.inTurn((api) => api.faultsOf(cards, options));
  }

  extract(wish: ExtractRequest, book: UidMap<Card>): Promise<ExtractResult> {
    return this.inTurn(async (api) => {
      await this.send(api, book);
      return api.extract(wish);
    });
  }

  newsIn(signed: readonly Signed[], country: string): Promise<News[]> {
    return this.inTurn((api) => api.newsIn(signed, country));
  }

  unite(mine: Card, theirs: Card, country: string): Promise<Card> {
    return this.inTurn((api) => api.unite(mine, theirs, country));
  }

  importOnto(pairs: readonly FilePair[], country: string): Promise<Card[]> {
    return this.inTurn((api) => api.importOnto(pairs, country));
  }

  /** One question after the other: what one tells of the book the next one needn't. */
  private inTurn<T>(ask: (api: Remote<InspectorApi>) => Promise<T>): Promise<T> {
    const answer = this.turn.then(() => ask(this.start()));
    this.turn = answer.catch(() => this.end());
    return answer;
  }

  private start(): Remote<InspectorApi> {
    clearTimeout(this.ending);
    this.ending = setTimeout(() => this.end(), IDLE_MS);
    if (!this.remote) {
      // Metro bundles a worker only where it is started as it stands here.
      this.worker = new Worker(new URL('../workers/duplicates', import.meta.url));
      this.remote = wrap<InspectorApi>(this.worker);
    }
    return this.remote;
  }

  private end(): void {
    this.worker?.terminate();
    this.worker = undefined;
    this.remote = undefined;
    this.sent = new Map();
  }

  private async send(api: Remote<InspectorApi>, book: UidMap<Card>): Promise<void> {
    const changed: Card[] = [];
    for (const card of book.values())
      if (card.kind !== 'group' && this.sent.get(card.uid) !== card) changed.push(card);
    const gone = [...this.sent.keys()].filter((uid) => !book.get(uid));
    for (const piece of inBatches(changed, PIECE)) {
      await api.update(piece, []);
      for (const card of piece) this.sent.set(card.uid, card);
    }
    if (gone.length > 0) await api.update([], gone);
    for (const uid of gone) this.sent.delete(uid);
  }
}
