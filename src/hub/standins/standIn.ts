import type { Card } from '@/core/card';

/** The simulated devices. */
export type StandInKind = 'phone' | 'mail' | 'computer';

/** What makes a kind of device: what it keeps of a card, and how it writes one. */
export interface StandIn {
  readonly kind: StandInKind;
  readonly name: string;
  /** How often it syncs by itself, in minutes. */
  readonly everyMinutes: number;
  /** The vCard version it requests. */
  readonly version: '3.0' | '4.0';
  /** The longer side of pictures on it, in pixels; null where it keeps them as they are. */
  readonly photoSide: number | null;
  /** Whether it knows lists. */
  readonly groups: boolean;
  /** What the device keeps of a card. */
  keep(card: Card): Card;
  /** A card as the device sends it. */
  write(card: Card): string;
}

/** A card on the device. */
export interface HeldCard {
  /** The last part of its address on the hub. */
  readonly href: string;
  /** '' where the hub hasn't said. */
  readonly etag: string;
  readonly card: Card;
  readonly state: 'same' | 'new' | 'changed' | 'deleted';
}

/** The state of a simulated device without what it holds. */
export interface StandInHead {
  readonly user: string;
  readonly password: string;
  /** '' before the first sync. */
  readonly syncToken: string;
  readonly isOffline: boolean;
  /** UTCDateTime of the next visit. */
  readonly next: string;
  /** The chosen interval in minutes, where one was set. */
  readonly everyMinutes?: number;
}

/** The state of a simulated device. */
export interface StandInState extends StandInHead {
  /** By uid as the device knows it. */
  readonly cards: Readonly<Record<string, HeldCard>>;
}
