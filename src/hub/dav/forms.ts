import { type DeviceView, type SeenCard, type SeenHead, textsFor } from '@/hub/sync';

import { type DataRequest, PLAIN_VERSION_3 } from './addressData';
import type { DavRequest } from './davRequest';
import { card as carddav, dav } from './names';

/** A card as it is answered. */
export interface SeenForm extends SeenHead {
  /** As the device gets it; undefined where nothing of it is asked for. */
  readonly text?: string | undefined;
}

/** Properties that depend on a card's serialised form. */
const OF_TEXT = [dav('getcontentlength'), carddav('address-data')];

/** Whether some properties depend on what is on a card. */
export function areOfText(names: readonly string[]): boolean {
  return names.some((name) => OF_TEXT.includes(name));
}

/** Some cards as they are now, with their texts; without those that are gone meanwhile, of which the next sync tells. */
export async function formsOf(
  request: Pick<DavRequest, 'db' | 'device'>,
  view: DeviceView,
  heads: readonly SeenHead[],
): Promise<SeenForm[]> {
  const found = await view.ofEach(heads.map(({ uid }) => uid));
  return formed(
    request,
    heads.flatMap(({ uid }) => found.get(uid) ?? []),
  );
}

/** Cards with their texts. */
export async function formed(
  { db, device }: Pick<DavRequest, 'db' | 'device'>,
  seen: readonly SeenCard[],
  { version }: Pick<DataRequest, 'version'> = PLAIN_VERSION_3,
): Promise<SeenForm[]> {
  const texts = await textsFor({ db, device }, seen, version);
  return seen.map(({ uid, href, etag, seq }, i) => ({ uid, href, etag, seq, text: texts[i] }));
}
