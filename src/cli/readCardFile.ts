import { findFormat, type ReadResult } from '@/core/formats';

import { readBytes } from './readBytes';
import { UnusableInput } from './unusableInput';

/** Reads a file of cards of any known format. @throws UnusableInput where it can't be read or is of no known format */
export function readCardFile(path: string | undefined): ReadResult {
  if (path === undefined) throw new UnusableInput('the name of a file is missing');
  const bytes = readBytes(path);
  const format = findFormat(bytes);
  if (!format) throw new UnusableInput(`${path}: no cards were found in it`);
  return format.read(bytes);
}
