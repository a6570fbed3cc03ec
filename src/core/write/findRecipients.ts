import { type Card, normalizeAddress, preferredEntry, shownAs, type Uid } from '@/core/card';
import { bareAddresses, reachFor } from '@/core/lists';

/** Somebody or some list that a message is addressed to, as it was typed or chosen. */
export type WriteTo =
  | { readonly kind: 'card'; readonly uid: Uid }
  | { readonly kind: 'list'; readonly list: Card; readonly members: readonly Uid[] }
  | { readonly kind: 'address'; readonly address: string; readonly name: string };

/** Somebody who gets the message, once. */
export interface Recipient {
  /** The uid of the card, or the address of somebody without one. */
  readonly key: string;
  readonly name: string;
  /** The address that is used. */
  readonly address: string;
  /** All that could be used, that one too. */
  readonly addresses: readonly string[];
  /** The card, where there is one. */
  readonly uid?: Uid;
}

/** Who gets a message, and who doesn't and why. */
export interface Recipients {
  readonly people: readonly Recipient[];
  /** Those without a mail address. */
  readonly unreachable: readonly Uid[];
  /** Those in the archive, to whom nothing is written. */
  readonly archived: readonly Uid[];
  /** Those who aren't to be written to. */
  readonly unwritten: readonly Uid[];
}

/**
 * Opens lists into their people: everybody once, however many lists they are on; at the address chosen for the list, else
 * the preferred one, else the one that was used last. Whoever shares the address of somebody before is that one's.
 *
 * @param addressOf - addresses chosen for this message, by uid; they go before all
 * @param usedLast - addresses that were written to last, by uid
 */
export function findRecipients(
  to: readonly WriteTo[],
  getCard: (uid: Uid) => Card | undefined,
  addressOf: Readonly<Record<string, string>> = {},
  usedLast: Readonly<Record<string, string>> = {},
): Recipients {
  const people = new Map<string, Recipient>();
  const taken = new Set<string>();
  const unreachable = new Set<Uid>();
  const [archived, unwritten] = [new Set<Uid>(), new Set<Uid>()];
  const put = (recipient: Recipient) => {
    const address = normalizeAddress(recipient.address);
    if (people.has(recipient.key) || taken.has(address)) return;
    taken.add(address);
    people.set(recipient.key, recipient);
  };
  const putCard = (uid: Uid, list?: Card) => {
    const card = getCard(uid);
    if (!card || card.kind === 'group' || people.has(uid)) return;
    if (card['cordialis.example:archived'] === true) return void archived.add(uid);
    if (card['cordialis.example:unwritten'] === true) return void unwritten.add(uid);
    const addresses = Object.values(card.emails ?? {}).map(({ address }) => address);
    const isTheirs = (address: string | undefined) => address !== undefined && addresses.includes(address);
    const known = [addressOf[uid], listAddress(list, card), preferredAddress(card), usedLast[uid]];
    const address = known.find(isTheirs) ?? addresses[0];
    if (address === undefined) return void unreachable.add(uid);
    put({ key: uid, uid, name: shownAs(card), address, addresses });
  };
  for (const one of to) {
    if (one.kind === 'card') putCard(one.uid);
    else if (one.kind === 'address')
      put({
        key: normalizeAddress(one.address),
        name: one.name,
        address: one.address,
        addresses: [one.address],
      });
    else {
      for (const uid of one.members) putCard(uid, one.list);
      for (const { address } of bareAddresses(one.list))
        put({ key: normalizeAddress(address), name: '', address, addresses: [address] });
    }
  }
  return {
    people: [...people.values()],
    ...{ unreachable: [...unreachable], archived: [...archived], unwritten: [...unwritten] },
  };
}

/** The address chosen for a list. */
function listAddress(list: Card | undefined, card: Card): string | undefined {
  return list && card.emails?.[reachFor(list, card.uid).emailId ?? '']?.address;
}

/** The address that the card says is preferred, where it says so. */
function preferredAddress({ emails }: Card): string | undefined {
  return preferredEntry(emails, ({ pref }) => pref !== undefined)?.address;
}
