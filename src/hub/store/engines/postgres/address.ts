import { createHash } from 'node:crypto';

import type { ClientConfig } from 'pg';

/** Where a store is in a PostgreSQL server. */
export interface Place {
  /** For the driver: the address without what is ours. */
  readonly config: ClientConfig;
  /** The schema in which the tables are. */
  readonly schema: string;
}

/** The schema where the address names none. */
const SCHEMA = 'cordialis';
/** How long a connection may take, a lock be waited for, and a transaction stand still, in milliseconds. */
const [CONNECT_MS, LOCK_MS, IDLE_MS] = [5000, 5000, 20_000];

/**
 * Reads an address such as postgres://hub@localhost/office?schema=anna: the schema is ours, the rest the driver's.
 *
 * @throws RangeError in words where it is none
 */
export function readAddress(address: string): Place {
  const url = URL.canParse(address) ? new URL(address) : undefined;
  if (!url || !['postgres:', 'postgresql:'].includes(url.protocol))
    throw new RangeError(
      'CORDIALIS_STORE is the address of a PostgreSQL database: postgres://user@host/database',
    );
  const schema = url.searchParams.get('schema') ?? SCHEMA;
  // It stands in statements and in the server's settings.
  if (!/^[a-z_][a-z0-9_]{0,40}$/.test(schema))
    throw new RangeError('the schema in CORDIALIS_STORE is made of small letters, digits and _');
  url.searchParams.delete('schema');
  return {
    schema,
    config: {
      connectionString: url.href,
      connectionTimeoutMillis: CONNECT_MS,
      keepAlive: true,
      // Whoever looks after the server sees which book a connection is of.
      application_name: schema === SCHEMA ? SCHEMA : `cordialis ${schema}`,
      options: [
        `-c search_path=${schema}`,
        `-c lock_timeout=${LOCK_MS}`,
        // Whoever holds the book and does nothing lets it go.
        `-c idle_in_transaction_session_timeout=${IDLE_MS}`,
        '-c default_transaction_isolation=read\\ committed',
      ].join(' '),
    },
  };
}

/** Advisory locks are two numbers of four octets: this one, which is ours, and one for what is locked. */
const OURS = 0x436f7264;

/** The two numbers of an advisory lock for something of a store. */
export function lockKey({ schema }: Place, what: string): string {
  const number = createHash('sha256').update(`${schema} ${what}`).digest().readInt32BE(0);
  return `${OURS}, ${number}`;
}
