import { type DeviceView, type SeenCard, type SeenHead, textsFor } from '@/hub/sync';

import { type DataRequest, PLAIN_VERSION_3 } from './addressData';
import type { DavRequest } from './davRequest';
import { card as carddav, dav } from './names';

/** A card as it is answered. */
export interface SeenForm extends SeenHead {
  /** As the device gets it; undefined where nothing of it is asked for. */
  readonly text?: string | undefined;
  /** The length of what GET answers, in octets; undefined where nothing of it is asked for. */
  readonly octets?: number;
}

const LENGTH = dav('getcontentlength');
/** Properties that depend on a card's serialised form. */
const OF_TEXT = [LENGTH, carddav('address-data')];

/** Whether some properties depend on what is on a card. */
export function areOfText(names: readonly string[]): boolean {
  return names.some((name) => OF_TEXT.includes(name));
}

/** Some cards as they are now, without those that are gone meanwhile: of them the next sync tells. */
export async function asTheyAre(view: DeviceView, heads: readonly SeenHead[]): Promise<SeenCard[]> {
  const found = await view.ofEach(heads.map(({ uid }) => uid));
  return heads.flatMap(({ uid }) => found.get(uid) ?? []);
}

/** Cards with what is asked of their texts. */
export async function formed(
  { db, device }: Pick<DavRequest, 'db' | 'device'>,
  seen: readonly SeenCard[],
  names: readonly string[],
  { version }: Pick<DataRequest, 'version'> = PLAIN_VERSION_3,
): Promise<SeenForm[]> {
  const texts = await textsFor({ db, device }, seen, version);
  // Of what GET answers, whatever else is asked for.
  const isOfPlain = version !== PLAIN_VERSION_3.version && names.includes(LENGTH);
  const plain = isOfPlain ? await textsFor({ db, device }, seen, PLAIN_VERSION_3.version) : texts;
  return seen.map(({ uid, href, etag, seq }, i) => ({
    ...{ uid, href, etag, seq, text: texts[i] },
    octets: Buffer.byteLength(plain[i] ?? ''),
  }));
}
