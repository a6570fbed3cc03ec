import { strFromU8, unzipSync } from 'fflate';

import { errorMessage } from '@/core/base';
import { texts } from '@/texts/book/workers';

/** A file out of another, or by itself. */
export interface UnpackedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
  /** Why it could not be taken out. */
  readonly fault?: string;
}

/** Files taken out of an archive at most, and bytes of all of them together: an archive of a few kB can hold terabytes. */
const MAX_FILES = 5000;
const MAX_BYTES = 600e6;

/** A zip archive as the files in it, any other file as itself. Hidden files and folders are passed over. */
export function unpackFile(name: string, bytes: Uint8Array): UnpackedFile[] {
  if (strFromU8(bytes.subarray(0, 4), true) !== 'PK\u0003\u0004') return [{ name, bytes }];
  let files = 0;
  let size = 0;
  const refused: UnpackedFile[] = [];
  try {
    const unpacked = unzipSync(bytes, {
      filter: ({ name: inner, originalSize }) => {
        if (/(^|\/)[._]|\/$|^__MACOSX/.test(inner)) return false;
        files += 1;
        size += originalSize;
        if (files <= MAX_FILES && size <= MAX_BYTES) return true;
        refused.push({
          name: `${name}: ${inner}`,
          bytes: new Uint8Array(),
          fault: texts.archiveIsTooLarge,
        });
        return false;
      },
    });
    // Of a backup only the cards are cards.
    if (unpacked['manifest.json'] && unpacked['cards.json'])
      return [{ name: `${name}: cards.json`, bytes: unpacked['cards.json'] }];
    const good = Object.entries(unpacked).map(([inner, content]) => ({
      name: `${name}: ${inner}`,
      bytes: content,
    }));
    return [...good, ...refused];
  } catch (error) {
    const fault = texts.archiveIsDamaged(errorMessage(error));
    return [{ name, bytes: new Uint8Array(), fault }];
  }
}
