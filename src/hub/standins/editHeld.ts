import { createHash, randomUUID } from 'node:crypto';

import { type Card, type Email, parseName, type Phone } from '@/core/card';

import type { HeldCard, StandIn, StandInState } from './standIn';

/** What can be typed on a device. */
export interface HeldEdit {
  readonly name: string;
  readonly phones: readonly string[];
  readonly mails: readonly string[];
}

/** Changes a card on the device; entries keep their labels where the value or its position is the same. */
export function editHeld(device: StandIn, state: StandInState, uid: string, edit: HeldEdit): StandInState {
  const held = state.cards[uid];
  if (!held || held.state === 'deleted') return state;
  const { card } = held;
  const name = edit.name === card.name?.full ? card.name : (parseName(edit.name) ?? card.name ?? {});
  const changed: Card = {
    ...card,
    name: { ...name, full: edit.name },
    phones: entriesOf<Phone>(card.phones, edit.phones, 'number', 'p'),
    emails: entriesOf<Email>(card.emails, edit.mails, 'address', 'e'),
  };
  return put(state, uid, {
    ...held,
    card: device.keep(changed),
    state: held.state === 'new' ? 'new' : 'changed',
  });
}

/** Adds a card on the device. */
export function addHeld(device: StandIn, state: StandInState, edit: HeldEdit): StandInState {
  const uid = `urn:uuid:${randomUUID()}`;
  const empty: Card = { '@type': 'Card', version: '1.0', uid, kind: 'individual', name: { full: edit.name } };
  const fresh: HeldCard = { href: hrefOf(uid), etag: '', card: empty, state: 'new' };
  return editHeld(device, put(state, uid, fresh), uid, edit);
}

/** Duplicates a card on the device under a new uid, as some programs do. */
export function duplicateHeld(state: StandInState, uid: string): StandInState {
  const held = state.cards[uid];
  if (!held) return state;
  const copy = `urn:uuid:${randomUUID()}`;
  return put(state, copy, {
    href: hrefOf(copy),
    etag: '',
    card: { ...held.card, uid: copy },
    state: 'new',
  });
}

/** Deletes a card on the device; one that the hub never knew simply vanishes. */
export function removeHeld(state: StandInState, uid: string): StandInState {
  const held = state.cards[uid];
  if (!held) return state;
  if (held.state !== 'new') return put(state, uid, { ...held, state: 'deleted' });
  const { [uid]: _, ...cards } = state.cards;
  return { ...state, cards };
}

function put(state: StandInState, uid: string, held: HeldCard): StandInState {
  return { ...state, cards: { ...state.cards, [uid]: held } };
}

function hrefOf(uid: string): string {
  return `${createHash('sha256').update(uid).digest('hex').slice(0, 24)}.vcf`;
}

function entriesOf<T extends object>(
  known: Readonly<Record<string, T>> | undefined,
  typed: readonly string[],
  key: keyof T & string,
  prefix: string,
): Record<string, T> {
  const before = Object.entries(known ?? {});
  const values = typed.map((text) => text.trim());
  const result: Record<string, T> = {};
  values.forEach((value, i) => {
    if (value === '') return;
    const same = before.find(([, entry]) => entry[key] === value) ?? before[i];
    let id = same && !Object.hasOwn(result, same[0]) ? same[0] : `${prefix}${i + 1}`;
    while (Object.hasOwn(result, id)) id = `${id}x`;
    // An entry is what it was, with another value.
    result[id] = { ...(same?.[1] ?? {}), [key]: value } as T;
  });
  return result;
}
