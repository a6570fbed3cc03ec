import { proxy, type Remote } from 'comlink';

import type { FileReport, FilesApi, Progress, WriteChoices } from '@/book/workers';
import type { Card } from '@/core/card';
import type { BackupContents, Invitation, RestoredBackup } from '@/core/formats';

import { type Job, runJob as runInWorker } from './runJob';

export { type Job } from './runJob';

/** What was read from a file. */
export type FileContents = FileReport & { readonly cards: readonly Card[] };

/** The files in an archive; any other file as itself. */
export function unpackFileInWorker(name: string, bytes: Uint8Array) {
  return runJob((api) => api.unpack(name, bytes));
}

/** Reads the bytes of a file into cards. @param columns - of a table, as headings of ours; undefined has them guessed */
export function readFileInWorker(
  bytes: Uint8Array,
  onProgress: Progress,
  columns?: readonly string[],
): Job<FileContents> {
  const cards: Card[] = [];
  const take = (some: readonly Card[]) => void cards.push(...some);
  return runJob(async (api) => {
    const report = await api.read(bytes, columns, proxy(take), proxy(onProgress));
    return { ...report, cards };
  });
}

/** The columns that a table of some cards needs. */
export function findHeadingsInWorker(cards: readonly Card[]) {
  return runJob((api) => api.headings(cards));
}

/** Writes cards as the text of a file. */
export function writeFileInWorker(
  cards: readonly Card[],
  formatId: string,
  onProgress: Progress,
  options: WriteChoices = {},
) {
  return runJob((api) => api.write(cards, formatId, options, proxy(onProgress)));
}

/** Writes an appointment for other people's calendars. */
export function writeInvitationInWorker(invitation: Invitation) {
  return runJob((api) => api.writeInvitation(invitation));
}

/** Packs the whole book into one archive. */
export function writeBackupInWorker(contents: BackupContents) {
  return runJob((api) => api.writeBackup(contents));
}

/** Opens an archive of a whole book. */
export function readBackupInWorker(bytes: Uint8Array): Job<RestoredBackup> {
  return runJob(async (api) => {
    const read = await api.readBackup(bytes);
    if ('fault' in read) throw new Error(read.fault);
    return read;
  });
}

/** Metro bundles a worker only where it is started as it stands here. */
function runJob<T>(work: (api: Remote<FilesApi>) => Promise<T>): Job<T> {
  return runInWorker<FilesApi, T>(() => new Worker(new URL('../workers/files', import.meta.url)), work);
}
