import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

import { decodeUtf8, errorMessage } from '@/core/base';
import { type Card, parseCard } from '@/core/card';
import { parseTalk, type Talk } from '@/core/talks';
import { texts } from '@/texts/formats/backup';

import type { Problem } from '../format/format';
import { type ArchiveEntry, type ByteSource, readArchive } from './archive';
import { BACKUP_VERSION, type BackupManifest, manifestSchema } from './manifest';
import { ArraySplitter } from './splitArray';

export { type BackupManifest } from './manifest';

/** What a backup holds, without its cards and talks. */
export interface BackupSummary {
  readonly manifest: BackupManifest;
  /** Those that can be read. */
  readonly cards: number;
  readonly talks: number;
  /** As they stand in the file, unchecked. */
  readonly settings: unknown;
  readonly problems: readonly Problem[];
}

/** Takes what is in a backup; awaited, so that no more is read than is taken. */
export interface BackupSinks {
  readonly onCards?: (cards: readonly Card[]) => unknown;
  readonly onTalks?: (talks: readonly Talk[]) => unknown;
  /** Told how much of the archive has been read, 0 to 1. */
  readonly onProgress?: (share01: number) => unknown;
}

/** Cards or talks that are handed over at once. */
const BATCH = 200;

/**
 * Reads a backup from its archive, piece by piece. A file that is not the one in the list, or is missing, is reported;
 * cards in it that can be read are given all the same.
 *
 * @returns why it is no backup of this program, where it is none
 */
export async function readBackup(
  source: ByteSource,
  { onCards, onTalks, onProgress }: BackupSinks = {},
): Promise<BackupSummary | { readonly fault: string }> {
  let entries: Map<string, ArchiveEntry>;
  try {
    entries = await readArchive(source);
  } catch (error) {
    return { fault: texts.itIsNoArchive(errorMessage(error)) };
  }
  const list = manifestSchema.safeParse(parseJson((await readWhole(entries.get('manifest.json'))).text));
  if (!list.success) return { fault: texts.itHasNoList };
  const manifest = list.data;
  if (manifest.version > BACKUP_VERSION) return { fault: texts.itWasMadeByNewer(manifest.version) };
  const problems: Problem[] = [];
  const total = manifest.files.reduce((sum, { bytes }) => sum + bytes, 0) || 1;
  let read = 0;
  const says = async (bytes: number) => {
    read += bytes;
    await onProgress?.(Math.min(1, read / total));
  };
  const check = (name: string, found: Pick<WholeFile, 'bytes' | 'hash'> | undefined) => {
    const listed = manifest.files.find((one) => one.name === name);
    if (!listed) return;
    if (!found) problems.push(faultOf(name, texts.isMissingFromArchive));
    else if (found.bytes !== listed.bytes || found.hash !== listed.sha256)
      problems.push(faultOf(name, texts.hasChangedSinceBackup));
  };
  let cards = 0;
  const cardFile = await readArray(entries.get('cards.json'), says, async (values, first) => {
    const some = values.flatMap((text, i): Card[] => {
      const parsed = parseCard(parseJson(text));
      if (parsed.kind === 'card') return [parsed.card];
      const message = texts.cardsJsonCard(first + i + 1, parsed.message);
      problems.push({ code: 'unreadable-card', line: first + i + 2, message, text });
      return [];
    });
    cards += some.length;
    await onCards?.(some);
  });
  check('cards.json', cardFile);
  if (cards !== manifest.cards)
    problems.push(faultOf('cards.json', texts.hasCardsThatCanBeRead(cards, manifest.cards)));
  let talks = 0;
  // Backups from before there were talks have none.
  const talkFile = await readArray(entries.get('talks.json'), says, async (values, first) => {
    const some = values.flatMap((text, i): Talk[] => {
      const talk = parseTalk(parseJson(text));
      if (talk) return [talk];
      const message = texts.talksJsonTalkCouldNotBeRead(first + i + 1);
      problems.push({ code: 'unreadable-value', line: first + i + 2, message, text });
      return [];
    });
    talks += some.length;
    await onTalks?.(some);
  });
  check('talks.json', talkFile);
  const settings = await readWhole(entries.get('settings.json'));
  check('settings.json', settings.text === undefined ? undefined : settings);
  return { manifest, cards, talks, settings: parseJson(settings.text), problems };
}

interface WholeFile {
  readonly text: string | undefined;
  readonly bytes: number;
  readonly hash: string;
}

/** A small file, whole; without a text where there is none. */
async function readWhole(entry: ArchiveEntry | undefined): Promise<WholeFile> {
  const hash = sha256.create();
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  try {
    for await (const chunk of entry?.bytes() ?? []) {
      hash.update(chunk);
      chunks.push(chunk);
      bytes += chunk.length;
    }
  } catch {
    // Reported by its size and its hash.
  }
  const whole = new Uint8Array(bytes);
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.length;
  }
  return { text: entry && decodeUtf8(whole), bytes, hash: bytesToHex(hash.digest()) };
}

/** A file that is an array, by its values. @returns undefined where there is no such file */
async function readArray(
  entry: ArchiveEntry | undefined,
  says: (bytes: number) => Promise<void>,
  take: (values: readonly string[], first: number) => Promise<void>,
): Promise<Pick<WholeFile, 'bytes' | 'hash'> | undefined> {
  if (!entry) return undefined;
  const hash = sha256.create();
  const decoder = new TextDecoder();
  const splitter = new ArraySplitter();
  let bytes = 0;
  let first = 0;
  const chunks = entry.bytes()[Symbol.asyncIterator]();
  for (;;) {
    // What can't be read any further is reported by its size and its hash; what has come is given.
    const { value: chunk } = await chunks.next().catch(() => ({ value: undefined }));
    if (!chunk) break;
    hash.update(chunk);
    bytes += chunk.length;
    const values = splitter.push(decoder.decode(chunk, { stream: true }));
    for (let at = 0; at < values.length; at += BATCH) await take(values.slice(at, at + BATCH), first + at);
    first += values.length;
    await says(chunk.length);
  }
  return { bytes, hash: bytesToHex(hash.digest()) };
}

function faultOf(name: string, what: string): Problem {
  return { code: 'unreadable-value', line: 0, message: `${name} ${what}` };
}

function parseJson(text: string | undefined): unknown {
  try {
    return text === undefined ? undefined : JSON.parse(text);
  } catch {
    return undefined;
  }
}
