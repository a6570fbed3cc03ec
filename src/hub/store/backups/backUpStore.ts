import { mkdtempSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';

import { sql } from 'kysely';

import type { Engine } from '../engines/engine';
import { openSqlite } from '../engines/sqlite/openSqlite';
import { copyStore } from '../moves/copyStore';
import { engineOf } from '../openStore';
import type { HubDb } from '../schema/tables';
import { setKeyMark } from '../seal';

/** Copies a store in its current state to a file of SQLite, while it is in use. @param path - where nothing is yet */
export async function backUpStore(db: HubDb, path: string): Promise<void> {
  const engine = engineOf(db);
  if (engine.kind === 'sqlite') await sql`vacuum into ${path}`.execute(db);
  else await copyToFile(engine, path);
}

/** Copies a store of another database to a file of SQLite. */
export async function copyToFile(from: Engine, path: string): Promise<void> {
  const folder = mkdtempSync(join(dirname(path), 'copying-'));
  try {
    const to = await openSqlite(folder);
    try {
      await copyStore(from, to, { finish: (target) => setKeyMark(target, undefined) });
      // One file, without what SQLite keeps beside it.
      await sql`vacuum into ${path}`.execute(to.db);
    } finally {
      await to.close();
    }
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
