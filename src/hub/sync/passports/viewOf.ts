import { type HubDb, lastSeq } from '@/hub/store';

import { BookView } from './bookView';
import type { DeviceView } from './deviceView';
import { OwnView } from './ownView';
import type { Device } from './passports';

/**
 * What a device may see now. Every reading and writing of a device goes through it: what isn't in it is as unknown as what
 * was never there.
 *
 * @param db - the store, or a transaction on it
 */
export async function viewOf(db: HubDb, device: Device): Promise<DeviceView> {
  const seq = await lastSeq(db);
  return device.direction === 'in' ? new OwnView(db, device, seq) : new BookView(db, device, seq);
}
