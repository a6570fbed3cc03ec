import type { DevicesStatus, DeviceStatus } from '@/core/sync';
import { everyMinutesOf, findStandInHead, STAND_INS, type StandInKind } from '@/hub/standins';
import type { HubDb } from '@/hub/store';
import { type Browser, countIn, type Device, listAccounts, listDevices, listsOf, viewOf } from '@/hub/sync';

/** Syncs shown per device. */
const SYNCS_TOLD = 20;

/** The current devices and browsers. */
export async function devicesStatus(db: HubDb, asking: Browser): Promise<DevicesStatus> {
  const devices: DeviceStatus[] = [];
  const standIns = new Map<string, Pick<DeviceStatus, 'standIn' | 'next' | 'everyMinutes'>>();
  for (const kind of Object.keys(STAND_INS) as StandInKind[]) {
    const state = await findStandInHead(db, kind);
    if (!state) continue;
    const everyMinutes = everyMinutesOf(kind, state);
    standIns.set(state.user, { standIn: kind, next: state.isOffline ? null : state.next, everyMinutes });
  }
  const accounts = new Map(
    (await listAccounts(db)).map(({ device, base, next, everyMinutes }) => [
      device,
      { server: base, next, everyMinutes },
    ]),
  );
  for (const device of await listDevices(db))
    devices.push({
      ...(await deviceNow(db, device)),
      ...standIns.get(device.user),
      ...accounts.get(device.id),
    });
  const browsers = await db.selectFrom('browsers').select(['id', 'name', 'seen']).orderBy('id').execute();
  return {
    devices,
    browsers: browsers.map(({ id, name, seen }) => ({ name, seen, isThis: id === asking.id })),
  };
}

async function deviceNow(db: HubDb, device: Device): Promise<DeviceStatus> {
  const { name, user, direction, scope, tag, seen } = device;
  const syncs = await db
    .selectFrom('syncs')
    .select(['id', 'at', 'came', 'went', 'fault', 'undone'])
    .where('device', '=', device.id)
    .orderBy('id', 'desc')
    .limit(SYNCS_TOLD)
    .execute();
  return {
    ...{ name, user, direction, scope, tag, seen, lists: listsOf(device) },
    ...{ notes: device.notes === 1, photos: device.photos === 1, groups: device.groups === 1 },
    ...{ photoSide: device.photoSide, own: device.own === 1, directory: device.directory > 0 },
    isPaused: device.paused === 1,
    cards: await countIn(await viewOf(db, device)),
    syncs: syncs.map(({ came, went, ...sync }) => ({ ...sync, in: came, out: went })),
    ...{ standIn: null, server: null, next: null, everyMinutes: null },
  };
}
