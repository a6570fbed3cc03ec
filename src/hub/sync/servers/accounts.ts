import type { Selectable } from 'kysely';

import type { AccountRequest } from '@/core/sync';
import { type AccountsTable, type HubDb, inTransaction, seal } from '@/hub/store';

import { addDevice, type Device, findDevice, listDevices } from '../passports/passports';
import { openDavSession } from './davSession';

/** Another server, of which the hub is a client, with its passport. */
export interface Account extends Selectable<AccountsTable> {
  readonly passport: Device;
}

/** Names of this machine, to which a password may be sent without TLS. */
const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

/**
 * Adds a server after a successful sign-in. @throws RangeError for a name or an address that won't do, Error in words
 * where the server refuses
 */
export async function addAccount(db: HubDb, wish: AccountRequest, now: string): Promise<void> {
  const { name, base, user, password, direction, everyMinutes, own = false } = wish;
  const url = URL.canParse(base) ? new URL(base) : undefined;
  if (!url || !/^https?:$/.test(url.protocol)) throw new RangeError('the address begins with https://');
  if (url.protocol === 'http:' && !LOOPBACK.has(url.hostname))
    throw new RangeError('without TLS a password goes to this machine only: use https://');
  await openDavSession({ base, user, password, version: '3.0' });
  await addDevice(db, { name, direction, own }, now);
  const device = await findDevice(db, name.trim());
  if (!device) throw new Error('the passport was not made');
  const begun = { next: now, syncToken: '', etags: '{}' };
  await inTransaction(db, (store) =>
    store
      .insertInto('accounts')
      .values({ device: device.id, base, user, password: seal(db, password), everyMinutes, ...begun })
      .execute(),
  );
}

/** All servers that the hub is a client of. */
export async function listAccounts(db: HubDb): Promise<Account[]> {
  const passports = new Map((await listDevices(db)).map((device) => [device.id, device]));
  const rows = await db.selectFrom('accounts').selectAll().execute();
  return rows.flatMap((row) => {
    const passport = passports.get(row.device);
    return passport ? [{ ...row, passport }] : [];
  });
}
