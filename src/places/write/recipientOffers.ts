import type { FoundInDirectory } from '@/book/directory';
import { foundBy } from '@/book/lists';
import type { MailDraft } from '@/book/write';
import { foldText } from '@/core/base';
import type { Hit } from '@/core/find';
import type { Unfiled } from '@/core/talks';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/write/write';
import type { FieldOffer } from '@/ui';

/** People and lists offered at once. */
export const OFFERED = 6;
/** People without a card offered at once. */
const UNFILED = 3;
/** Tags offered at once. */
const TAGS = 2;
/** "Bo Ek <bo@example.org>", or the address alone. */
const ADDRESS = /^(.*?)[\s,;]*<?([^\s<>,;@]+@[^\s<>,;@]+)>?\s*$/;

interface Known {
  /** What is typed, without white space around it. */
  readonly typed: string;
  readonly found: readonly Hit[];
  readonly listed: readonly FoundInDirectory[];
  readonly tags: readonly { readonly tag: string; readonly count: number }[];
  /** People who are written with and have no card. */
  readonly unfiled: readonly Unfiled[];
}

interface Acts {
  readonly add: (one: MailDraft['to'][number]) => void;
  readonly addTagged: (tag: string) => void;
  readonly addFound: () => void;
}

/** Whom a text that is being typed may mean: from the Book, by a tag, from the directory, without a card, an address. */
export function recipientOffers(
  { typed, found, listed, tags, unfiled }: Known,
  { add, addTagged, addFound }: Acts,
): FieldOffer[] {
  const hits = found.slice(0, OFFERED);
  const people = found.filter(({ kind, isNear }) => kind !== 'list' && isNear !== true).length;
  const wanted = foldText(typed.replace(/^#/, ''));
  const tagged =
    wanted === '' ? [] : tags.filter(({ tag }) => foldText(tag).startsWith(wanted)).slice(0, TAGS);
  const strangers =
    wanted === ''
      ? []
      : unfiled.filter((one) => foldText(`${one.name} ${one.address}`).includes(wanted)).slice(0, UNFILED);
  const [, before = '', address] = ADDRESS.exec(typed) ?? [];
  const isAddress = address !== undefined;
  const offers: FieldOffer[] = hits.map((hit) => ({
    key: hit.uid,
    name: texts.writeTo(hit.shown),
    title: hit.shown,
    second: hit.kind === 'list' ? texts.everybodyOnThisList : foundBy(hit),
    // Whoever has typed an address means that one, and nobody whose address is merely like it.
    isSure: isAddress ? foldText(hit.value) === foldText(address) : hit.isNear !== true,
    onPress: () => add({ kind: hit.kind === 'list' ? 'list' : 'card', uid: hit.uid }),
  }));
  if (people > 1)
    offers.push({
      key: 'everybody',
      name: texts.writeToEverybodyFound(typed),
      title: texts.everybodyFoundBy(typed),
      second: people > OFFERED ? texts.peopleOrMore(people) : texts.peopleCount(people),
      isSure: false,
      onPress: addFound,
    });
  for (const { tag, count } of tagged)
    offers.push({
      key: `tag ${tag}`,
      name: texts.writeToEverybodyTagged(tag),
      title: texts.everybodyTagged(tag),
      second: shared.cardCount(count),
      isSure: foldText(tag) === wanted && typed.startsWith('#'),
      onPress: () => addTagged(tag),
    });
  for (const { uid, name, address: known } of listed)
    if (known !== undefined)
      offers.push({
        key: `directory ${uid}`,
        name: texts.writeToOfDirectory(name),
        title: name,
        second: texts.directory(known),
        isSure: !isAddress,
        onPress: () => add({ kind: 'address', address: known, name }),
      });
  for (const { address: known, name } of strangers)
    offers.push({
      key: `unfiled ${known}`,
      name: texts.writeToWhoHasNoCard(name || known),
      title: name || known,
      second: texts.noCardYet(known),
      isSure: !isAddress,
      onPress: () => add({ kind: 'address', address: known, name }),
    });
  if (isAddress)
    offers.push({
      key: 'address',
      title: address,
      name: texts.writeToNamed(address),
      second: texts.thisAddress,
      isSure: true,
      onPress: () => add({ kind: 'address', address, name: before.trim() }),
    });
  return offers;
}
