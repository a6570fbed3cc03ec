import type { FileContents } from '@/book/clients';
import type { ImportReport } from '@/book/formats';
import type { ImportPlan } from '@/book/formats';

/** A fault with the file it is in. */
export type FileProblem = ImportReport['problems'][number];

/** One file, out of an archive or by itself, and what was read from it. */
export interface FilePart {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly contents: FileContents;
}

/** A table whose columns are being matched by hand. */
export interface TableMapping {
  readonly kind: 'mapping';
  readonly part: FilePart;
  /** What each column says, as headings of our own tables. */
  readonly columns: readonly string[];
  readonly isRemembered: boolean;
  /** Whether the cards shown are still those of other columns. */
  readonly isReading: boolean;
}

/** What the files would do to the book. */
export interface ImportPreview {
  readonly kind: 'preview';
  readonly source: string;
  readonly intake: ImportPlan;
  readonly problems: readonly FileProblem[];
}

/** What was done. */
export interface ImportSummary extends ImportReport {
  readonly kind: 'done';
}

/** How far an import is. */
export type ImportState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'reading'; readonly name: string; readonly share01: number; readonly cards: number }
  | TableMapping
  | ImportPreview
  | { readonly kind: 'taking'; readonly share01: number; readonly cards: number }
  | ImportSummary
  | { readonly kind: 'failed'; readonly message: string };
