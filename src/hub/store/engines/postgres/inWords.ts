import { texts } from '@/texts/hub/store';

import { StoreFault } from '../storeFault';

/** The faults whose reason is outside, by what their codes begin with (PostgreSQL 15, appendix A), the most particular first. */
const OUTSIDE: readonly (readonly [code: string, status: StoreFault['status'], says: string])[] = [
  ['53100', 507, texts.diskIsFull],
  ['53', 503, texts.storeIsBusy],
  ['55P03', 503, texts.storeIsBusy],
  ['40', 503, texts.storeIsBusy],
  ['25006', 503, texts.databaseIsReadOnly],
  ['25P03', 503, texts.storeIsBusy],
  ['57014', 503, texts.storeIsBusy],
  ['57P', 503, texts.databaseIsAway],
  ['08', 503, texts.databaseIsAway],
  ['58', 503, texts.diskCantBeUsed],
];

/** What Node and the driver call a database that isn't there. */
const AWAY = /^(ECONN|EPIPE|ENOENT|ETIMEDOUT|EHOSTUNREACH|ENETUNREACH|ENOTFOUND|EAI_AGAIN)/;
/** The same in words of the driver, which has no codes for it. */
const AWAY_WORDS =
  /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error/i;

/** An error of PostgreSQL in words, where its reason is outside; any other as it is. */
export function inWords(error: unknown): unknown {
  // The system's own errors are made elsewhere.
  if (typeof error !== 'object' || error === null || error instanceof StoreFault) return error;
  const { code, message } = error as { readonly [K in 'code' | 'message']?: unknown };
  const known = typeof code === 'string' ? OUTSIDE.find(([begin]) => code.startsWith(begin)) : undefined;
  if (known) return new StoreFault(known[1], known[2], `PG_${String(code)}`);
  const isAway = (typeof code === 'string' && AWAY.test(code)) || AWAY_WORDS.test(String(message));
  return isAway ? new StoreFault(503, texts.databaseIsAway, 'PG_AWAY') : error;
}
