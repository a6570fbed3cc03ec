import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { Zip, ZipDeflate } from 'fflate';

import { encodeUtf8 } from '@/core/base';
import { type Card, parseCard } from '@/core/card';
import { parseTalk, type Talk } from '@/core/talks';

import { BACKUP_FORMAT, BACKUP_VERSION, type BackupManifest } from './manifest';

type Pieces<T> = Iterable<readonly T[]> | AsyncIterable<readonly T[]>;

/** What goes into a backup. Cards and talks come in pieces, so that they needn't be in memory all at once. */
export interface BackupContents {
  /** With their photos in them, in the order of their uids. */
  readonly cards: Pieces<Card>;
  /** What was said with whom, in the order of their months and within one in that of their ids. */
  readonly talks: Pieces<Talk>;
  readonly settings: object;
  /** UTCDateTime. */
  readonly made: string;
}

/**
 * Packs a book into a zip archive, piece by piece. The same book gives the same bytes: cards and talks come in an order of
 * their own, and the properties of both stand in that of their schemas, however they have come about.
 *
 * @param onBytes - called with the bytes of the archive, in turn
 */
export async function writeBackup(
  { cards, talks, settings, made }: BackupContents,
  onBytes: (bytes: Uint8Array) => void,
): Promise<void> {
  let fault: Error | undefined;
  const zip = new Zip((error, bytes) => {
    fault ??= error ?? undefined;
    onBytes(bytes);
  });
  const files: BackupManifest['files'][number][] = [];
  let count = 0;
  const add = async (name: string, pieces: Pieces<string>) => {
    const file = new ZipDeflate(name, { level: 6 });
    file.mtime = made.slice(0, 10);
    zip.add(file);
    const hash = sha256.create();
    let bytes = 0;
    for await (const texts of pieces) {
      const chunk = encodeUtf8(texts.join(''));
      hash.update(chunk);
      bytes += chunk.length;
      file.push(chunk);
      if (fault) throw fault;
    }
    file.push(new Uint8Array(), true);
    files.push({ name, bytes, sha256: bytesToHex(hash.digest()) });
  };
  const inOrder = (card: Card): Card => {
    count += 1;
    const parsed = parseCard(card);
    return parsed.kind === 'card' ? parsed.card : card;
  };
  await add('cards.json', arrayOf(cards, inOrder));
  await add(
    'talks.json',
    arrayOf(talks, (talk) => parseTalk(talk) ?? talk),
  );
  await add('settings.json', [[`${JSON.stringify(settings, null, 2)}\n`]]);
  const manifest: BackupManifest = {
    ...{ format: BACKUP_FORMAT, version: BACKUP_VERSION, made },
    ...{ cards: count, files: [...files] },
  };
  await add('manifest.json', [[`${JSON.stringify(manifest, null, 2)}\n`]]);
  zip.end();
}

/** A JSON array with an entry a line. */
async function* arrayOf<T>(pieces: Pieces<T>, change: (value: T) => unknown): AsyncIterable<string[]> {
  let before = '[\n';
  for await (const piece of pieces) {
    const lines = piece.map((value) => {
      const line = `${before}${JSON.stringify(change(value))}`;
      before = ',\n';
      return line;
    });
    yield lines;
  }
  yield [before === '[\n' ? '[\n\n]\n' : '\n]\n'];
}
