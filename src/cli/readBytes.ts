import { readFileSync } from 'node:fs';

import { UnusableInput } from './unusableInput';

/** The bytes of a file. @throws UnusableInput where it can't be read */
export function readBytes(path: string): Uint8Array {
  try {
    return new Uint8Array(readFileSync(path));
  } catch (error) {
    throw new UnusableInput(`${path}: ${error instanceof Error ? error.message : 'can’t be read'}`);
  }
}
