import { encodeUtf8 } from '@/core/base';
import { type Card, parseCard } from '@/core/card';
import { parseTalk, type Talk } from '@/core/talks';

import { BACKUP_FORMAT, BACKUP_VERSION, type BackupManifest, type Sha256 } from './manifest';

/** What goes into a backup. */
export interface BackupContents {
  /** With their photos in them. */
  readonly cards: readonly Card[];
  /** What was said with whom; none where nothing is given. */
  readonly talks?: readonly Talk[];
  readonly settings: object;
  /** UTCDateTime. */
  readonly made: string;
}

/** The files of an archive by their names. */
export type BackupFiles = Readonly<Record<string, Uint8Array>>;

/**
 * Makes the files of a backup. The same book always gives the same bytes: cards stand in the order of their uids, talks
 * in that of their ids, and the properties of both in the order of their schemas, however they have come about.
 */
export async function writeBackup(
  { cards, talks = [], settings, made }: BackupContents,
  sha256: Sha256,
): Promise<BackupFiles> {
  const sorted = [...cards].sort((a, b) => (a.uid < b.uid ? -1 : Number(a.uid > b.uid)));
  const said = [...talks].sort((a, b) => (a.id < b.id ? -1 : Number(a.id > b.id)));
  const files: Record<string, Uint8Array> = {
    'cards.json': linesOf(sorted.map(cardInOrder)),
    'talks.json': linesOf(said.map((talk) => parseTalk(talk) ?? talk)),
    'settings.json': encodeUtf8(`${JSON.stringify(settings, null, 2)}\n`),
  };
  const listed: BackupManifest['files'][number][] = [];
  for (const [name, bytes] of Object.entries(files))
    listed.push({ name, bytes: bytes.length, sha256: await sha256(bytes) });
  const manifest: BackupManifest = {
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    made,
    cards: cards.length,
    files: listed,
  };
  return { 'manifest.json': encodeUtf8(`${JSON.stringify(manifest, null, 2)}\n`), ...files };
}

function cardInOrder(card: Card): Card {
  const parsed = parseCard(card);
  return parsed.kind === 'card' ? parsed.card : card;
}

/** A JSON array with an entry a line. */
function linesOf(entries: readonly unknown[]): Uint8Array {
  return encodeUtf8(`[\n${entries.map((entry) => JSON.stringify(entry)).join(',\n')}\n]\n`);
}
