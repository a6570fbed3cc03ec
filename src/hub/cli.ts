import { join } from 'node:path';
import { parseArgs } from 'node:util';

import { errorMessage } from '@/core/base';
import { shownAs } from '@/core/card';
import { utcNow } from '@/hub/base';
import {
  allCards,
  BackupFault,
  type HubDb,
  letDevicesIn,
  makeBackup,
  MoveFault,
  moveStore,
  notMoved,
  openStore,
  restoreBackup,
  storeAddress,
  StoreFault,
} from '@/hub/store';
import {
  addDevice,
  type Device,
  listDevices,
  listsOf,
  makeCode,
  type Passport,
  pauseDevice,
  removeDevice,
} from '@/hub/sync';

import { type Diagnosis, examine } from './doctor';
import { readPassphrase } from './readPassphrase';

const USAGE =
  'usage: hub device add NAME [--out|--in] [--tag T | --list L] [--data DIR] | device list | device pause|resume|remove NAME | pair | log | backup FILE | restore FILE | move postgres://…|folder | resume | doctor';

/** Unusable input: one line on stderr, exit 2. */
class Unusable extends Error {}

/** The hub's tool: devices and their passports, the log, backups, how the hub is. */
async function main(argv: readonly string[]): Promise<void> {
  const { positionals, values } = readArgs(argv);
  const folder = values.data ?? process.env['CORDIALIS_DATA'] ?? join(process.cwd(), 'data');
  const [verb, ...rest] = positionals;
  // Before the store is opened, which would make one.
  if (verb === 'restore' && rest[0] !== undefined) return print(await restore(rest[0], folder));
  if (verb === 'doctor') return print(await doctor(folder));
  if (verb === 'move' && rest[0] !== undefined) return print(await move(rest[0], folder));
  const db = await openStore(folder, storeAddress(process.env));
  await notMoved(db);
  let result: unknown;
  if (verb === 'device') result = await device(db, rest, values);
  else if (verb === 'pair') result = { code: await makeCode(db, Date.now()), minutes: 10 };
  else if (verb === 'log') result = await log(db);
  else if (verb === 'backup' && rest[0] !== undefined) {
    await makeBackup(db, rest[0], await readPassphrase(process.env, true));
    result = { backup: rest[0] };
  } else if (verb === 'resume') {
    await letDevicesIn(db);
    result = { resumed: true };
  } else throw new Unusable(USAGE);
  print(result);
  await db.destroy();
}

function print(result: unknown): void {
  process.stdout.write(`${JSON.stringify(result)}\n`);
}

async function doctor(folder: string): Promise<Pick<Diagnosis, 'problems'>> {
  const diagnosis = await diagnose(folder);
  if (diagnosis.problems.length > 0) process.exitCode = 1;
  return diagnosis;
}

async function diagnose(folder: string): Promise<Pick<Diagnosis, 'problems'>> {
  try {
    const db = await openStore(folder, storeAddress(process.env));
    const found = await examine(db, folder, { nowMs: Date.now(), env: process.env });
    await db.destroy();
    return found;
  } catch (error) {
    return { problems: [`the store can’t be opened: ${errorMessage(error)}`] };
  }
}

async function restore(path: string, folder: string): Promise<object> {
  return restoreBackup({
    ...{ path, folder, address: storeAddress(process.env), utcNow: utcNow() },
    passphrase: () => readPassphrase(process.env, false),
  });
}

/** Moves the store to where it is said: the address of a database, or `folder`. */
async function move(to: string, folder: string): Promise<object> {
  const moved = await moveStore({
    ...{ folder, from: storeAddress(process.env), to: to === 'folder' ? undefined : to, utcNow: utcNow() },
    say: (table, rows) => process.stderr.write(`${table}: ${rows}\n`),
  });
  const rows = Object.entries(moved).map(([table, sum]) => [table, sum.rows]);
  return {
    moved: Object.fromEntries(rows) as object,
    next: to === 'folder' ? 'leave CORDIALIS_STORE out' : 'set CORDIALIS_STORE to it',
  };
}

interface Flags {
  readonly out?: boolean | undefined;
  readonly in?: boolean | undefined;
  readonly tag?: string | undefined;
  readonly list?: string | undefined;
  readonly data?: string | undefined;
}

function readArgs(argv: readonly string[]): { positionals: string[]; values: Flags } {
  try {
    return parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        ...{ out: { type: 'boolean' }, in: { type: 'boolean' } },
        ...{ tag: { type: 'string' }, list: { type: 'string' }, data: { type: 'string' } },
      },
    });
  } catch (error) {
    throw new Unusable(`${errorMessage(error)}; ${USAGE}`);
  }
}

async function device(db: HubDb, [act, name]: readonly string[], flags: Flags): Promise<unknown> {
  if (act === 'list') return (await listDevices(db)).map(toShown);
  if (name === undefined) throw new Unusable(USAGE);
  if (act === 'add') {
    if (flags.out === true && flags.in === true) throw new Unusable('--out and --in are not given together');
    if (flags.tag !== undefined && flags.list !== undefined)
      throw new Unusable('--tag and --list are not given together');
    const direction = flags.out === true ? 'out' : flags.in === true ? 'in' : 'both';
    const passport: Passport = {
      ...{ name, direction },
      ...(flags.tag === undefined ? {} : { tag: flags.tag }),
      ...(flags.list === undefined ? {} : { lists: [await listUid(db, flags.list)] }),
    };
    const { user, password } = await addDevice(db, passport, utcNow()).catch((error: unknown) => {
      throw error instanceof RangeError ? new Unusable(error.message) : error;
    });
    return { url: `http://127.0.0.1:${process.env['PORT'] ?? '4870'}/dav/`, user, password };
  }
  const isKnown =
    act === 'remove'
      ? await removeDevice(db, name)
      : act === 'pause' || act === 'resume'
        ? await pauseDevice(db, name, act === 'pause')
        : undefined;
  if (isKnown === undefined) throw new Unusable(USAGE);
  if (!isKnown) throw new Unusable(`there is no device called ${name}`);
  return { [act ?? '']: name };
}

/** The uid of a list by its name. */
async function listUid(db: HubDb, name: string): Promise<string> {
  const list = (await allCards(db)).find(
    (card) => card.kind === 'group' && shownAs(card).toLowerCase() === name.toLowerCase(),
  );
  if (list) return list.uid;
  throw new Unusable(`there is no list called ${name}`);
}

function toShown(device: Device): object {
  const { name, user, direction, scope, tag, paused, seen } = device;
  return { name, user, direction, scope, tag, lists: listsOf(device), paused: paused === 1, seen };
}

async function log(db: HubDb): Promise<unknown> {
  return db
    .selectFrom('changes')
    .leftJoin('devices', 'devices.id', 'changes.device')
    .select(['changes.seq', 'changes.at', 'changes.uid', 'changes.says', 'devices.name as device'])
    .orderBy('changes.seq')
    .execute();
}

main(process.argv.slice(2)).catch((error: unknown) => {
  const isExpected = [Unusable, RangeError, BackupFault, MoveFault, StoreFault].some(
    (kind) => error instanceof kind,
  );
  if (!isExpected) throw error;
  process.stderr.write(`${errorMessage(error)}\n`);
  process.exitCode = 2;
});
