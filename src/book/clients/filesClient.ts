import { proxy, type Remote } from 'comlink';

import type { BackupSource, FileReport, FilesApi, Progress, WriteChoices } from '@/book/workers';
import type { Card } from '@/core/card';
import type { BackupSinks, BackupSummary, Invitation } from '@/core/formats';

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

/** Cards in pieces: they are read, or have their photos put in, when they are asked for. */
export type CardPieces = Iterable<readonly Card[]> | AsyncIterable<readonly Card[]>;

/** The columns that a table of some cards needs. */
export function findHeadingsInWorker(cards: CardPieces) {
  return runJob(async (api) => {
    await addAll(api, cards);
    return api.headings();
  });
}

/** Writes cards as a file. */
export function writeFileInWorker(
  cards: CardPieces,
  formatId: string,
  onProgress: Progress,
  options: WriteChoices = {},
): Job<Blob> {
  return runJob(async (api) => {
    await addAll(api, cards);
    return api.write(formatId, options, proxy(onProgress));
  });
}

async function addAll(api: Remote<FilesApi>, cards: CardPieces): Promise<void> {
  for await (const piece of cards) await api.add(piece);
}

/** Writes an appointment for other people's calendars. */
export function writeInvitationInWorker(invitation: Invitation) {
  return runJob((api) => api.writeInvitation(invitation));
}

/** Packs the whole book into one archive. @param made - UTCDateTime */
export function writeBackupInWorker(source: BackupSource, settings: object, made: string): Job<Blob> {
  return runJob((api) => api.writeBackup(proxy(source), settings, made));
}

const ignore = () => undefined;

/** Reads an archive of a whole book; what is in it goes to the sinks. */
export function readBackupInWorker(file: Blob, sinks: BackupSinks): Job<BackupSummary> {
  return runJob(async (api) => {
    // Asked through a proxy, every sink seems to be there: those that aren't take nothing.
    const all = { onCards: ignore, onTalks: ignore, onProgress: ignore, ...sinks };
    const read = await api.readBackup(file, proxy(all));
    if ('fault' in read) throw new Error(read.fault);
    return read;
  });
}

/** Metro bundles a worker only where it is started as it stands here. */
function runJob<T>(work: (api: Remote<FilesApi>) => Promise<T>): Job<T> {
  return runInWorker<FilesApi, T>(() => new Worker(new URL('../workers/files', import.meta.url)), work);
}
