import { readFileSync, writeFileSync } from 'node:fs';

import { findFormat, type ReadResult } from '@/core/formats';

/** What was given can't be worked with; the message says what and where, in one line. */
export class UnusableInput extends Error {}

/** The bytes of a file. @throws UnusableInput where it can't be read */
export function readBytes(path: string): Uint8Array {
  try {
    return new Uint8Array(readFileSync(path));
  } catch (error) {
    throw new UnusableInput(`${path}: ${whyNot(error, 'can’t be read')}`);
  }
}

/** Reads a file of cards of any known format. @throws UnusableInput where it can't be read or is of no known format */
export function readCardFile(path: string | undefined): ReadResult {
  if (path === undefined) throw new UnusableInput('the name of a file is missing');
  const bytes = readBytes(path);
  const format = findFormat(bytes);
  if (!format) throw new UnusableInput(`${path}: no cards were found in it`);
  return format.read(bytes);
}

/** Writes a file. @throws UnusableInput where it can't be written, as into a folder that isn't there */
export function writeOutput(path: string, contents: string | Uint8Array): void {
  try {
    writeFileSync(path, contents);
  } catch (error) {
    throw new UnusableInput(`${path}: ${whyNot(error, 'can’t be written')}`);
  }
}

const WHY: Readonly<Record<string, string>> = {
  ENOENT: 'there is no such file or folder',
  EISDIR: 'is a folder, not a file',
  EACCES: 'this user may not do that here',
  ENOSPC: 'the disk is full',
};

/** What the system says, in words where it is one of the usual things. */
function whyNot(error: unknown, otherwise: string): string {
  const code = error instanceof Error && 'code' in error ? String(error.code) : '';
  return WHY[code] ?? (error instanceof Error ? error.message : otherwise);
}
