import { withCutPictures } from '@/hub/card';

import type { SeenCard } from '../passports/keptView';
import type { SyncContext } from './context';

/** Cards as served to a device, pictures resized to what it shows. */
export async function trimForDevice(
  { device }: Pick<SyncContext, 'device'>,
  seen: readonly SeenCard[],
): Promise<readonly SeenCard[]> {
  if (device.photoSide === null) return seen;
  const cut: SeenCard[] = [];
  for (const one of seen) cut.push({ ...one, card: await withCutPictures(one.card, device.photoSide) });
  return cut;
}
