import { X509Certificate } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statfsSync, statSync } from 'node:fs';
import { join } from 'node:path';

import { LOG_FILE } from '@/hub/base';
import { doDevicesWait, engineOf, type HubDb, isReady } from '@/hub/store';
import { listDevices } from '@/hub/sync';

import { readTls } from './readTls';

/** What the hub's state is, and what is wrong with it, in words. */
export interface Diagnosis {
  /** Empty where all is well. */
  readonly problems: readonly string[];
  /** Octets of the files, and rows of the tables. */
  readonly sizes: Readonly<Record<string, number>>;
  readonly certificate: { readonly name: string; readonly until: string } | null;
  readonly visits: readonly {
    readonly device: string;
    readonly at: string | null;
    readonly fault: string | null;
  }[];
  /** Lines of the log that tell of faults, the last ones. */
  readonly faults: readonly unknown[];
}

/** Room below which a disk is as good as full, in octets. */
const LITTLE_ROOM = 200_000_000;
/** A clock that is behind what has been written by more than this is wrong, in milliseconds. */
const CLOCK_MS = 5 * 60_000;
/** A certificate that ends sooner is to be renewed, in milliseconds. */
const SOON_MS = 14 * 24 * 3600 * 1000;
const FAULTS_TOLD = 10;
/** PINO's number for errors. */
const ERROR = 50;
const TABLES = ['cards', 'changes', 'devices', 'browsers', 'records', 'memory', 'settle'] as const;

/** Looks whether the hub is well: its store, disk, clock, certificate, and the last visits. Changes nothing. */
export async function examine(
  db: HubDb,
  folder: string,
  { nowMs, env }: { readonly nowMs: number; readonly env: Readonly<Record<string, string | undefined>> },
): Promise<Diagnosis> {
  const problems: string[] = [];
  problems.push(...(await engineOf(db).problems()));
  if (!(await isReady(db))) problems.push('the store can’t be written');
  if (await doDevicesWait(db))
    problems.push('devices wait for a browser since a backup was restored; hub resume lets them in');
  const { bavail, bsize } = statfsSync(folder);
  if (bavail * bsize < LITTLE_ROOM)
    problems.push(`the disk has only ${Math.floor((bavail * bsize) / 1e6)} MB left`);
  problems.push(...(await clockProblems(db, nowMs)));
  const { certificate, fault } = certificateNow(env, nowMs);
  if (fault !== undefined) problems.push(fault);
  const visits = await lastVisits(db);
  for (const { device, at, fault: said } of visits)
    if (said !== null) problems.push(`the last visit of ${device} (${at ?? ''}) ended with: ${said}`);
  return { problems, certificate, visits, sizes: await sizesOf(db, folder), faults: lastFaults(folder) };
}

/** What was written tells when it was: a clock that is behind it gives new changes the wrong place. */
export async function clockProblems(db: HubDb, nowMs: number): Promise<string[]> {
  const last = await db.selectFrom('changes').select('at').orderBy('seq', 'desc').limit(1).executeTakeFirst();
  return last && Date.parse(last.at) - nowMs > CLOCK_MS
    ? [`the clock says ${new Date(nowMs).toISOString()}, but the last change was made at ${last.at}`]
    : [];
}

function certificateNow(
  env: Readonly<Record<string, string | undefined>>,
  nowMs: number,
): { readonly certificate: Diagnosis['certificate']; readonly fault?: string } {
  try {
    const tls = readTls(env);
    if (!tls) return { certificate: null };
    const read = new X509Certificate(tls.cert);
    const certificate = { name: tls.name, until: new Date(read.validTo).toISOString() };
    const leftMs = Date.parse(read.validTo) - nowMs;
    const fault =
      leftMs < 0
        ? `the certificate ended on ${certificate.until}`
        : leftMs < SOON_MS
          ? `the certificate ends on ${certificate.until}`
          : read.checkHost(tls.name) === undefined
            ? `the certificate is not for ${tls.name}`
            : undefined;
    return { certificate, ...(fault === undefined ? {} : { fault }) };
  } catch (error) {
    return {
      certificate: null,
      fault: error instanceof Error ? error.message : 'the certificate can’t be read',
    };
  }
}

async function lastVisits(db: HubDb): Promise<Diagnosis['visits']> {
  const visits: { device: string; at: string | null; fault: string | null }[] = [];
  for (const { id, name } of await listDevices(db)) {
    const sync = await db
      .selectFrom('syncs')
      .select(['at', 'fault'])
      .where('device', '=', id)
      .orderBy('id', 'desc')
      .limit(1)
      .executeTakeFirst();
    visits.push({ device: name, at: sync?.at ?? null, fault: sync?.fault ?? null });
  }
  return visits;
}

async function sizesOf(db: HubDb, folder: string): Promise<Record<string, number>> {
  const sizes: Record<string, number> = { store: await engineOf(db).octets() };
  for (const name of readdirSync(folder)) {
    const { size } = statSync(join(folder, name));
    if (/^hub\./.test(name)) sizes[name] = size;
  }
  for (const table of TABLES) {
    const { count } = await db
      .selectFrom(table)
      .select(({ fn }) => fn.countAll<number>().as('count'))
      .executeTakeFirstOrThrow();
    sizes[table] = Number(count);
  }
  return sizes;
}

function lastFaults(folder: string): unknown[] {
  const file = join(folder, LOG_FILE);
  if (!existsSync(file)) return [];
  return readFileSync(file, 'utf8')
    .split('\n')
    .flatMap((line): unknown[] => {
      try {
        const read = JSON.parse(line) as { readonly level?: unknown };
        return typeof read.level === 'number' && read.level >= ERROR ? [read] : [];
      } catch {
        return [];
      }
    })
    .slice(-FAULTS_TOLD);
}
