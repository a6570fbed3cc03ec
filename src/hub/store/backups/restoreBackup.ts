import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';

import { sql } from 'kysely';

import { aboutOf, unsetAbout } from '../about';
import type { Engine } from '../engines/engine';
import { connectTo } from '../engines/sqlite/connectTo';
import { holdStore } from '../engines/sqlite/holdStore';
import { openSqlite, STORE_FILE } from '../engines/sqlite/openSqlite';
import { type Epoch, epochsAfter, epochsIn, headsOf, keepEpochs } from '../epochs';
import { copyStore } from '../moves/copyStore';
import { openStore } from '../openStore';
import { KEY_FILE, setKeyMark } from '../seal';
import { copyToFile } from './backUpStore';
import { SEALED_KEY } from './makeBackup';
import { unsealKey } from './sealKey';
import { haveDevicesWait } from './waiting';

/** A backup that can't be restored, in words. Nothing was changed. */
export class BackupFault extends Error {}

/** What was restored. */
export interface Restored {
  readonly cards: number;
  /** Where the files are that it has taken the place of; undefined where there were none. */
  readonly before: string | undefined;
  /** Whether devices wait until a browser has come. */
  readonly devicesWait: boolean;
}

/** A store's files: the store itself, what SQLite keeps beside it, and the key. */
const [STORE, BESIDE, KEY] = [STORE_FILE, [`${STORE_FILE}-wal`, `${STORE_FILE}-shm`], KEY_FILE] as const;

/** What is restored, and where. */
export interface Restoration {
  /** Asked for once it is the backup of a hub, and nobody uses the store: nobody types one for nothing. */
  readonly passphrase: () => Promise<string>;
  readonly path: string;
  /** The data folder. */
  readonly folder: string;
  /** The address of the database in which the store lies; undefined for the folder. */
  readonly address?: string | undefined;
  /** Names where what was there lies. */
  readonly utcNow: string;
}

/**
 * Restores a backup into a store that no hub is using. What was there is moved aside. The store begins another epoch, so that
 * browsers and devices that know more than the backup are told apart from those that know less.
 *
 * @throws BackupFault
 */
export async function restoreBackup(restoration: Restoration): Promise<Restored> {
  const { path, folder, address, utcNow, passphrase } = restoration;
  if (!statSync(path, { throwIfNoEntry: false })?.isFile())
    throw new BackupFault(`there is no file at ${path}`);
  if (address !== undefined) return restoreInto(address, restoration);
  const release = await holdStore(folder);
  if (!release) throw new BackupFault(`a hub is using ${folder}; end it first`);
  const half = mkdtempSync(join(folder, 'restoring-'));
  try {
    await unpack(path, half, passphrase);
    const { cards, devicesWait } = await beginEpoch(half, await epochsAt(join(folder, STORE)));
    return { cards, devicesWait, before: takePlace(half, folder, utcNow) };
  } finally {
    rmSync(half, { recursive: true, force: true });
    await release();
  }
}

/** The same into another database: what was there is put aside as a file. */
async function restoreInto(
  address: string,
  { path, folder, utcNow, passphrase }: Restoration,
): Promise<Restored> {
  const { openPostgres } = await import('../engines/postgres/openPostgres');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const to = await openPostgres(address);
  const half = mkdtempSync(join(folder, 'restoring-'));
  try {
    if (!(await to.hold())) throw new BackupFault('a hub is using the store; end it first');
    await unpack(path, half, passphrase);
    const replaced = await epochsIn(to.db);
    const { cards, devicesWait } = await beginEpoch(half, replaced ?? []);
    const before = replaced ? await putAside(to, folder, utcNow) : undefined;
    const key = readFileSync(join(half, KEY));
    const from = await openSqlite(half);
    try {
      await copyStore(from, to, { finish: (store) => setKeyMark(store, key) });
    } finally {
      await from.close();
    }
    // Killed before this, the hub says that it has another key than the store, and the same can be done again.
    renameSync(join(half, KEY), join(folder, KEY));
    return { cards, devicesWait, before };
  } finally {
    rmSync(half, { recursive: true, force: true });
    await to.close();
  }
}

/** Puts what a store has aside, as a file with its key beside it. @returns the folder */
async function putAside(from: Engine, folder: string, utcNow: string): Promise<string> {
  const before = beforeIn(folder, utcNow);
  mkdirSync(before, { recursive: true, mode: 0o700 });
  await copyToFile(from, join(before, STORE));
  if (existsSync(join(folder, KEY))) copyFileSync(join(folder, KEY), join(before, KEY));
  return before;
}

/** Where what was there is put: in the place of nothing that was put aside before. */
function beforeIn(folder: string, utcNow: string): string {
  const name = `before-restore-${utcNow.replace(/[^0-9TZ]/g, '')}`;
  for (let count = 1; ; count += 1) {
    const path = join(folder, count === 1 ? name : `${name}-${count}`);
    if (!existsSync(path)) return path;
  }
}

/** A backup as a store with its key, in a folder of its own. @throws BackupFault */
async function unpack(path: string, half: string, passphrase: Restoration['passphrase']): Promise<void> {
  copyFileSync(path, join(half, STORE));
  chmodSync(join(half, STORE), 0o600);
  writeFileSync(join(half, KEY), await checkedKey(join(half, STORE), passphrase), { mode: 0o600 });
}

/** The key of a backup, whose file is whole. @throws BackupFault */
async function checkedKey(file: string, passphrase: Restoration['passphrase']): Promise<Buffer> {
  const copy = connectTo(file);
  try {
    const { rows } = await sql<{ integrity_check: string }>`pragma integrity_check`.execute(copy);
    const [first] = rows;
    if (first?.integrity_check !== 'ok') throw new BackupFault('the backup is damaged');
    const sealed = await aboutOf(copy, SEALED_KEY);
    if (sealed === undefined) throw new BackupFault('the backup has no key: it wasn’t made by hub backup');
    const key = await unsealKey(sealed, await passphrase());
    if (!key) throw new BackupFault('that is not the passphrase of this backup');
    return key;
  } catch (error) {
    throw error instanceof BackupFault || error instanceof RangeError
      ? error
      : new BackupFault('that is no backup of a hub');
  } finally {
    await copy.destroy();
  }
}

/** The epochs of the store that is replaced; none where there is none, or it is damaged. */
async function epochsAt(file: string): Promise<readonly Epoch[]> {
  if (!existsSync(file)) return [];
  const db = connectTo(file);
  const epochs = await epochsIn(db).catch(() => undefined);
  // What SQLite keeps beside it goes into it, where it can be read at all.
  await sql`pragma wal_checkpoint(truncate)`.execute(db).catch(() => undefined);
  await db.destroy();
  return epochs ?? [];
}

async function beginEpoch(
  folder: string,
  replaced: readonly Epoch[],
): Promise<Pick<Restored, 'cards' | 'devicesWait'>> {
  const db = await openStore(folder);
  const epochs = (await epochsIn(db)) ?? [];
  await keepEpochs(db, epochsAfter({ epochs, heads: await headsOf(db) }, replaced));
  await unsetAbout(db, SEALED_KEY);
  const browser = await db.selectFrom('browsers').select('id').limit(1).executeTakeFirst();
  if (browser) await haveDevicesWait(db);
  const { count } = await db
    .selectFrom('cards')
    .select(({ fn }) => fn.countAll<number>().as('count'))
    .executeTakeFirstOrThrow();
  await sql`pragma wal_checkpoint(truncate)`.execute(db);
  await db.destroy();
  return { cards: Number(count), devicesWait: browser !== undefined };
}

/**
 * Puts the restored files in the place of those that are there, which are kept. Killed half-way, nothing
 * is lost, and the same can be done again.
 */
function takePlace(half: string, folder: string, utcNow: string): string | undefined {
  const was = [STORE, ...BESIDE, KEY].filter((name) => existsSync(join(folder, name)));
  const before = beforeIn(folder, utcNow);
  if (was.length > 0) mkdirSync(before, { recursive: true, mode: 0o700 });
  for (const name of was) copyFileSync(join(folder, name), join(before, name));
  renameSync(join(half, KEY), join(folder, KEY));
  for (const name of BESIDE) rmSync(join(folder, name), { force: true });
  renameSync(join(half, STORE), join(folder, STORE));
  return was.length > 0 ? before : undefined;
}
