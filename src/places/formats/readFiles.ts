import { type FileContents, type Job, readFileInWorker, unpackFileInWorker } from '@/book/clients';

import type { FilePart } from './importState';

/** Progress of reading several files, and the way to stop it. */
export interface ReadWatch {
  onJob(job: Job<unknown>): void;
  onProgress(name: string, share01: number, cards: number): void;
}

/** Reads files one after the other, archives as the files in them; a part that can't be read is one with a problem. */
export async function readFiles(files: readonly File[], watch: ReadWatch): Promise<FilePart[]> {
  const parts: FilePart[] = [];
  let cards = 0;
  for (const file of files) {
    watch.onProgress(file.name, 0, cards);
    const unpacking = unpackFileInWorker(file.name, new Uint8Array(await file.arrayBuffer()));
    watch.onJob(unpacking);
    for (const { name, bytes, fault } of await unpacking.result) {
      if (fault !== undefined) {
        parts.push({ name, bytes, contents: unreadable(fault) });
        continue;
      }
      const before = cards;
      const reading = readFileInWorker(bytes, (share01, count) =>
        watch.onProgress(name, share01, before + count),
      );
      watch.onJob(reading);
      const contents = await reading.result;
      cards += contents.cards.length;
      parts.push({ name, bytes, contents });
    }
  }
  return parts;
}

function unreadable(message: string): FileContents {
  return { cards: [], formatLabel: 'unknown', problems: [{ code: 'not-this-format', line: 0, message }] };
}
