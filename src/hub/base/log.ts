import { existsSync, renameSync, statSync } from 'node:fs';
import { join } from 'node:path';

import pino, { type Logger } from 'pino';

/** The hub's log: lines of JSON that name acts, numbers and kinds of faults, and nothing that somebody has written. */
export type HubLog = Pick<Logger, 'info' | 'warn' | 'error'>;

/** For what keeps none. */
export const NO_LOG: HubLog = pino({ level: 'silent' });

/** A log that has grown to this is put aside at the next start, in octets. */
const LARGE = 10_000_000;
/** What is kept of it while it can't be written, in octets. */
const MOST_KEPT = 200_000;
/** The log's file in the data folder. */
export const LOG_FILE = 'hub.log';

/**
 * Opens the log: CORDIALIS_LOG is `stderr`, `off` or a file; without it a file in the data folder, which nobody else reads.
 *
 * @param folder - the data folder
 */
export function openLog(env: Readonly<Record<string, string | undefined>>, folder: string): HubLog {
  const wanted = env['CORDIALIS_LOG'] ?? join(folder, LOG_FILE);
  if (wanted === 'off') return NO_LOG;
  if (wanted === 'stderr') return pino(OPTIONS, pino.destination({ dest: 2, sync: true }));
  if (existsSync(wanted) && statSync(wanted).size > LARGE) renameSync(wanted, `${wanted}.1`);
  const lines = pino.destination({
    ...{ dest: wanted, mkdir: true, append: true, mode: 0o600 },
    // Written at once: the last line before an end is the one that is looked for.
    ...{ sync: true, maxLength: MOST_KEPT },
  });
  // Nothing ends because a disk is full.
  lines.on('error', () => undefined);
  return pino(OPTIONS, lines);
}

const OPTIONS = { base: null, timestamp: pino.stdTimeFunctions.isoTime };

/** What a log may say of an error: its kind and where it was, but not its words, which may be out of somebody's card. */
export interface Fault {
  readonly name: string;
  readonly code?: string;
  readonly at: readonly string[];
}

/** The most lines of a stack. */
const FRAMES = 12;

/** An error as the log has it. */
export function faultOf(error: unknown): Fault {
  if (typeof error !== 'object' || error === null) return { name: typeof error, at: [] };
  const { name, code, stack } = error as { readonly [K in 'name' | 'code' | 'stack']?: unknown };
  const frames = String(stack ?? '')
    .split('\n')
    .filter((line) => /^ {4}at /.test(line));
  return {
    name: typeof name === 'string' ? name : 'object',
    ...(typeof code === 'string' && /^[A-Z_0-9]+$/.test(code) ? { code } : {}),
    at: frames.slice(0, FRAMES).map((line) => line.trim().replace(/\(.*[\\/]/, '(')),
  };
}
