import type { Job } from '@/book/clients';
import type { Card } from '@/core/card';
import { type BackupSinks, type BackupSummary, readBackup, writeBackup } from '@/core/formats';
import type { Talk } from '@/core/talks';

/** Reads a backup in this process, as a worker does; for tests only. */
export function readHere(file: Blob, sinks: BackupSinks): Job<BackupSummary> {
  const read = async (from: number, to: number) => new Uint8Array(await file.slice(from, to).arrayBuffer());
  let isStopped = false;
  const taking =
    <T>(take?: (some: readonly T[]) => unknown) =>
    async (some: readonly T[]) => {
      if (!isStopped) await take?.(some);
    };
  const all = { ...sinks, onCards: taking(sinks.onCards), onTalks: taking(sinks.onTalks) };
  const result = readBackup({ size: file.size, read }, all).then((summary) => {
    if ('fault' in summary) throw new Error(summary.fault);
    return summary;
  });
  return { result, stop: () => (isStopped = true) };
}

/** A backup of some cards and talks; for tests only. */
export async function backupOf(cards: readonly Card[], talks: readonly Talk[], settings: object = {}) {
  const chunks: Uint8Array[] = [];
  const contents = { cards: [cards], talks: [talks], settings, made: '2026-11-24T10:00:00Z' };
  await writeBackup(contents, (bytes) => chunks.push(bytes));
  const blob = new Blob(chunks as BlobPart[]);
  return { blob, summary: () => readHere(blob, {}).result };
}
