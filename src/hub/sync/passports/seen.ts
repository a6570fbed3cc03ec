import type { Card } from '@/core/card';
import { toCard } from '@/hub/store';

import type { PlacedHead, SeenCard } from './deviceView';
import { servedCard } from './letThrough';
import type { Device } from './passports';

/** A card that is taken apart where somebody wants to know what is on it. */
export class Seen implements SeenCard, PlacedHead {
  readonly uid: string;
  readonly href: string;
  readonly etag: string;
  readonly seq: number;
  readonly place: string;
  readonly text: string | undefined;
  readonly shape: string | undefined;

  constructor(
    head: PlacedHead,
    private readonly device: Device,
    private readonly of: {
      /** As it is served. */
      readonly card?: Card | undefined;
      /** The book's, as JSON. */
      readonly raw?: string | null;
      readonly text?: string | null;
      readonly shape?: string;
    },
  ) {
    ({ uid: this.uid, href: this.href, etag: this.etag, seq: this.seq, place: this.place } = head);
    this.text = of.text ?? undefined;
    this.shape = of.shape;
  }

  private made: Card | undefined;

  get card(): Card {
    this.made ??= this.of.card ?? servedCard(toCard(this.of.raw ?? '{}'), this.device);
    return this.made;
  }
}
