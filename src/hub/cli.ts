import { join } from 'node:path';
import { parseArgs } from 'node:util';

import { errorMessage } from '@/core/base';
import { shownAs } from '@/core/card';
import { utcNow } from '@/hub/base';
import { allCards, backUpStore, type HubDb, openStore } from '@/hub/store';
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

const USAGE =
  'usage: hub device add NAME [--out|--in] [--tag T | --list L] [--data DIR] | device list | device pause|resume|remove NAME | pair | log | backup FILE';

/** Unusable input: one line on stderr, exit 2. */
class Unusable extends Error {}

/** The hub's tool: devices and their passports, the log, a backup. */
async function main(argv: readonly string[]): Promise<void> {
  const { positionals, values } = readArgs(argv);
  const db = await openStore(values.data ?? process.env['CORDIALIS_DATA'] ?? join(process.cwd(), 'data'));
  const [verb, ...rest] = positionals;
  let result: unknown;
  if (verb === 'device') result = await device(db, rest, values);
  else if (verb === 'pair') result = { code: await makeCode(db, Date.now()), minutes: 10 };
  else if (verb === 'log') result = await log(db);
  else if (verb === 'backup' && rest[0] !== undefined) {
    await backUpStore(db, rest[0]);
    result = { backup: rest[0] };
  } else throw new Unusable(USAGE);
  process.stdout.write(`${JSON.stringify(result)}\n`);
  await db.destroy();
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
  if (!(error instanceof Unusable)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 2;
});
