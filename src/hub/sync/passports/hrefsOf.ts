import type { HubDb } from '@/hub/store';

import type { Device } from './passports';

/** The most uids queried one by one rather than reading all rows. */
const FEW = 500;

/** The addresses under which the device knows cards. @param uids - only of these, where they are few */
export async function hrefsOf(
  db: HubDb,
  device: Device,
  uids: readonly string[] | undefined,
): Promise<Map<string, string>> {
  const all = db.selectFrom('memory').select(['uid', 'href']).where('device', '=', device.id);
  const rows = await (uids && uids.length <= FEW ? all.where('uid', 'in', [...uids]) : all).execute();
  return new Map(rows.map(({ uid, href }) => [uid, href]));
}
