import { type DeviceView, directoryView, viewOf } from '@/hub/sync';

import { DavError } from './davError';
import { type DavRequest, isOfDirectory, type Resource } from './davRequest';

/** The collection of a resource, as a device may see it. @throws DavError 404 for a directory that it doesn't get */
export async function viewFor({ db, device, now }: DavRequest, resource: Resource): Promise<DeviceView> {
  if (!isOfDirectory(resource)) return viewOf(db, device);
  const view = await directoryView(db, device, now.slice(0, 10));
  if (!view) throw new DavError(404, 'there is nothing here');
  return view;
}
