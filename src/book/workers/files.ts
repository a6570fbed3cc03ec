import { expose } from 'comlink';

import type { Card } from '@/core/card';
import { findFormat, getFormat, type Problem, type ReadResult } from '@/core/formats';

/** Told how far it is, 0 to 1, and how many cards are done. */
export type Progress = (share01: number, cards: number) => void;

/** What the page may ask of the worker that reads and writes files. */
export interface FilesApi {
  read(bytes: Uint8Array, onProgress: Progress): ReadResult & { readonly formatLabel: string };
  write(cards: readonly Card[], formatId: string, onProgress: Progress): string;
}

const api: FilesApi = {
  read: (bytes, onProgress) => {
    const format = findFormat(bytes);
    if (!format) {
      const message = 'no cards were found in it; vCard (.vcf) and JSContact (.json) can be read';
      const problem: Problem = { code: 'not-this-format', line: 0, message };
      return { cards: [], problems: [problem], formatLabel: 'unknown' };
    }
    return { ...format.read(bytes, { onProgress }), formatLabel: format.label };
  },
  write: (cards, formatId, onProgress) => {
    const format = getFormat(formatId);
    if (!format) throw new RangeError(`there is no format ${formatId}`);
    return format.write(cards, { onProgress });
  },
};
expose(api);
