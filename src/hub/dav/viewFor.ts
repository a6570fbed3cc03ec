import { withCutPictures } from '@/hub/card';
import { type DeviceView, directoryView, type SeenCard, viewOf } from '@/hub/sync';

import { DavError } from './davError';
import { type DavRequest, isOfDirectory, type Resource } from './davRequest';

/** The collection of a resource, as a device may see it. @throws DavError 404 for a directory that it doesn't get */
export async function viewFor({ db, device, now }: DavRequest, resource: Resource): Promise<DeviceView> {
  if (!isOfDirectory(resource)) return viewOf(db, device);
  const view = await directoryView(db, device, now.slice(0, 10));
  if (!view) throw new DavError(404, 'there is nothing here');
  return view;
}

/** Cards as served to a device, pictures resized to what it shows. */
export async function trimForDevice(
  { device }: Pick<DavRequest, 'device'>,
  seen: readonly SeenCard[],
): Promise<readonly SeenCard[]> {
  if (device.photoSide === null) return seen;
  const cut: SeenCard[] = [];
  for (const one of seen) cut.push({ ...one, card: await withCutPictures(one.card, device.photoSide) });
  return cut;
}
