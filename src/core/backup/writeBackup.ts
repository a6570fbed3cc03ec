import type { Card } from '../card';
import { encodeUtf8 } from '../text';
import { BACKUP_FORMAT, BACKUP_VERSION, type BackupManifest, type Sha256 } from './manifest';

/** What goes into a backup. */
export interface BackupContents {
  /** With their photos in them. */
  readonly cards: readonly Card[];
  readonly settings: object;
  /** UTCDateTime. */
  readonly made: string;
}

/** The files of an archive by their names. */
export type BackupFiles = Readonly<Record<string, Uint8Array>>;

/** Makes the files of a backup. The same book always gives the same bytes: cards stand in the order of their uids. */
export async function writeBackup(
  { cards, settings, made }: BackupContents,
  sha256: Sha256,
): Promise<BackupFiles> {
  const sorted = [...cards].sort((a, b) => (a.uid < b.uid ? -1 : Number(a.uid > b.uid)));
  const files: Record<string, Uint8Array> = {
    'cards.json': encodeUtf8(`[\n${sorted.map((card) => JSON.stringify(card)).join(',\n')}\n]\n`),
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
