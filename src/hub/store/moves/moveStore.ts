import { existsSync, mkdirSync, renameSync } from 'node:fs';
import { join } from 'node:path';

import { aboutOf, setAbout, unsetAbout } from '../about';
import { STORE_FILE } from '../engines/sqlite/openSqlite';
import { engineOf, inTransaction, openStore } from '../openStore';
import type { HubDb } from '../schema/tables';
import { keyOf, setKeyMark } from '../seal';
import { copyStore, type Sums, sumsIn } from './copyStore';

/** A store can't be moved, in words. Nothing was changed. */
export class MoveFault extends Error {}

/** From where to where a store is moved. */
export interface Move {
  /** The data folder, with the store's key. */
  readonly folder: string;
  /** The address of the database in which it lies; undefined for the folder. */
  readonly from: string | undefined;
  /** The same of where it is to lie. */
  readonly to: string | undefined;
  /** UTCDateTime. */
  readonly utcNow: string;
  /** Is told of each table that has been copied. */
  readonly say?: ((table: string, rows: number) => void) | undefined;
}

/** Under which name a store says where it has been moved, so that no hub goes on with it. */
const NAME = 'movedTo';

/**
 * Moves a store from one database to another that no hub is using: everything is copied, read again and compared. What was moved
 * stays where it was, and says so.
 *
 * @returns what was moved, by table
 * @throws MoveFault
 */
export async function moveStore({ folder, from, to, utcNow, say }: Move): Promise<Sums> {
  if (from === to) throw new MoveFault('the store is there already');
  if (from === undefined && !existsSync(join(folder, STORE_FILE)))
    throw new MoveFault(`there is no store in ${folder}`);
  const source = await openStore(folder, from);
  try {
    await hold(source, whereIs(folder, from));
    await notMoved(source);
    if (to === undefined) await makeRoom(folder, utcNow);
    const target = await openStore(folder, to);
    try {
      await hold(target, whereIs(folder, to));
      const sums = (await isTheSame(source, target)) ?? (await fill(source, target, { to, say }));
      const said = `${whereIs(folder, to)}, ${utcNow}`;
      await inTransaction(source, (store) => setAbout(store, NAME, said));
      return sums;
    } finally {
      await target.destroy();
    }
  } finally {
    await source.destroy();
  }
}

/** Where a store lies, in words and without a password. */
function whereIs(folder: string, address: string | undefined): string {
  if (address === undefined) return folder;
  const { host, pathname, searchParams } = new URL(address);
  const schema = searchParams.get('schema');
  return `postgres://${host}${pathname}${schema === null ? '' : `?schema=${schema}`}`;
}

async function hold(db: HubDb, where: string): Promise<void> {
  if (!(await engineOf(db).hold())) throw new MoveFault(`a hub is using ${where}; end it first`);
}

async function fill(source: HubDb, target: HubDb, { to, say }: Pick<Move, 'to' | 'say'>): Promise<Sums> {
  if ((await aboutOf(target, NAME)) === undefined && (await hasBook(target)))
    throw new MoveFault('there is a book already where it is to lie');
  return copyStore(engineOf(source), engineOf(target), {
    ...(say ? { say } : {}),
    finish: async (store) => {
      await unsetAbout(store, NAME);
      await setKeyMark(store, to === undefined ? undefined : keyOf(target));
    },
  });
}

/** What both have, where a move ended before the last step; undefined otherwise. */
async function isTheSame(source: HubDb, target: HubDb): Promise<Sums | undefined> {
  if (!(await hasBook(target)) || (await aboutOf(target, NAME)) !== undefined) return undefined;
  const [{ about: _, ...one }, { about: __, ...other }] = [await sumsIn(source), await sumsIn(target)];
  return JSON.stringify(one) === JSON.stringify(other) ? one : undefined;
}

async function hasBook(db: HubDb): Promise<boolean> {
  for (const table of ['changes', 'devices', 'browsers', 'records'] as const)
    if (await db.selectFrom(table).selectAll().limit(1).executeTakeFirst()) return true;
  return false;
}

/** Puts aside a store of SQLite that has been moved from the folder. @throws MoveFault for any other */
async function makeRoom(folder: string, utcNow: string): Promise<void> {
  if (!existsSync(join(folder, STORE_FILE))) return;
  const there = await openStore(folder);
  try {
    await hold(there, folder);
    if ((await aboutOf(there, NAME)) === undefined && (await hasBook(there)))
      throw new MoveFault(`there is a book already in ${folder}`);
  } finally {
    await there.destroy();
  }
  const aside = join(folder, `before-move-${utcNow.replace(/[^0-9TZ]/g, '')}`);
  mkdirSync(aside, { recursive: true, mode: 0o700 });
  for (const name of [STORE_FILE, `${STORE_FILE}-wal`, `${STORE_FILE}-shm`])
    if (existsSync(join(folder, name))) renameSync(join(folder, name), join(aside, name));
}

/** @throws MoveFault where a store has been moved, so that nobody goes on with what stayed behind */
export async function notMoved(db: HubDb): Promise<void> {
  const said = await aboutOf(db, NAME);
  if (said !== undefined)
    throw new MoveFault(`the store has been moved to ${said}; set CORDIALIS_STORE accordingly`);
}
