import { Kysely, PostgresDialect, type PostgresPool, type PostgresPoolClient } from 'kysely';
import pg from 'pg';

import type { HubTables } from '../../schema/tables';
import { checkText } from '../storeFault';
import type { Place } from './address';
import { columnTypes } from './columnTypes';
import { inWords } from './inWords';

/** Connections of one hub at most: reading and writing each needs one. */
const MOST = 8;

/** Numbers of PostgreSQL that the driver gives as text, as they don't all fit: ours do (int8, numeric). */
const NUMBERS: readonly number[] = [20, 1700];

/** How the driver reads values. */
export const TYPES = {
  getTypeParser: ((oid: number, format?: 'text' | 'binary') =>
    NUMBERS.includes(oid)
      ? Number
      : pg.types.getTypeParser(oid, format as 'text')) as typeof pg.types.getTypeParser,
};

/** Connects to a database as it is: nothing is made or migrated. Faults whose reason is outside come in words. */
export function connectTo({ config }: Place): Kysely<HubTables> {
  const pool = new pg.Pool({ ...config, types: TYPES, max: MOST });
  // One that waits and is cut off is replaced with the next that is needed.
  pool.on('error', () => undefined);
  // Nor does one that is cut off while it is used end the hub: what was asked of it fails.
  pool.on('connect', (client) => client.on('error', () => undefined));
  return new Kysely<HubTables>({
    dialect: new PostgresDialect({ pool: inWordsPool(pool) }),
    plugins: [columnTypes],
  });
}

function inWordsPool(pool: pg.Pool): PostgresPool {
  const known = new WeakMap<pg.PoolClient, PostgresPoolClient>();
  return {
    end: () => pool.end(),
    connect: async () => {
      const client = await pool.connect().catch(refuse);
      const wrapped = known.get(client) ?? wrap(client);
      known.set(client, wrapped);
      return wrapped;
    },
  };
}

function refuse(error: unknown): never {
  throw inWords(error);
}

/** Names of statements: what is prepared once is planned once on each connection. */
const names = new Map<string, string>();
/** Statements prepared at most; there are some hundred. */
const MOST_NAMES = 400;

/** The name of a statement; undefined where it stays without: one that gives all columns would break when one is added. */
function nameOf(text: string): string | undefined {
  const known = names.get(text);
  if (known !== undefined) return known;
  if (!/^(select|insert|update|delete) /.test(text) || text.includes('*') || names.size >= MOST_NAMES)
    return undefined;
  const name = `s${names.size}`;
  names.set(text, name);
  return name;
}

function wrap(client: pg.PoolClient): PostgresPoolClient {
  const query = async (text: string, values: readonly unknown[]) => {
    values.forEach(checkText);
    const name = values.length > 0 ? nameOf(text) : undefined;
    const asked = { text, values: [...values], ...(name === undefined ? {} : { name }) };
    return client.query(asked).catch(refuse);
  };
  // Of cursors, which the interface has too, none is used.
  return {
    query,
    release: (isBroken?: boolean) => client.release(isBroken),
  } as unknown as PostgresPoolClient;
}
