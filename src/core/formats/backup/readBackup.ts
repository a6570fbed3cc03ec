import { decodeUtf8 } from '@/core/base';
import { type Card, parseCard } from '@/core/card';
import { parseTalk, type Talk } from '@/core/talks';
import { texts } from '@/texts/formats/backup';

import type { Problem } from '../format/format';
import { BACKUP_VERSION, type BackupManifest, manifestSchema, type Sha256 } from './manifest';
import type { BackupFiles } from './writeBackup';

export { type BackupManifest } from './manifest';

/** What a backup holds. */
export interface RestoredBackup {
  readonly manifest: BackupManifest;
  readonly cards: readonly Card[];
  readonly talks: readonly Talk[];
  /** As they stand in the file, unchecked. */
  readonly settings: unknown;
  readonly problems: readonly Problem[];
}

/**
 * Reads the files of a backup. A file that is not the one in the list, or is missing, is reported; cards in it that
 * can be read are given all the same.
 *
 * @returns why it is no backup of this program, where it is none
 */
export async function readBackup(
  files: BackupFiles,
  sha256: Sha256,
): Promise<RestoredBackup | { readonly fault: string }> {
  const list = manifestSchema.safeParse(parseJson(files['manifest.json']));
  if (!list.success) return { fault: texts.itHasNoList };
  const manifest = list.data;
  if (manifest.version > BACKUP_VERSION) return { fault: texts.itWasMadeByNewer(manifest.version) };
  const problems: Problem[] = [];
  for (const { name, bytes, sha256: expected } of manifest.files) {
    const file = files[name];
    if (!file) problems.push(faultOf(name, texts.isMissingFromArchive));
    else if (file.length !== bytes || (await sha256(file)) !== expected)
      problems.push(faultOf(name, texts.hasChangedSinceBackup));
  }
  const value = parseJson(files['cards.json']);
  const cards: Card[] = [];
  for (const [i, item] of (Array.isArray(value) ? (value as unknown[]) : []).entries()) {
    const parsed = parseCard(item);
    if (parsed.kind === 'card') cards.push(parsed.card);
    else {
      const message = texts.cardsJsonCard(i + 1, parsed.message);
      problems.push({ code: 'unreadable-card', line: i + 2, message, text: JSON.stringify(item) });
    }
  }
  if (cards.length !== manifest.cards)
    problems.push(faultOf('cards.json', texts.hasCardsThatCanBeRead(cards.length, manifest.cards)));
  const talks = readTalks(parseJson(files['talks.json']), problems);
  return { manifest, cards, talks, settings: parseJson(files['settings.json']), problems };
}

/** Backups from before there were talks have none. */
function readTalks(value: unknown, problems: Problem[]): Talk[] {
  const items = Array.isArray(value) ? (value as unknown[]) : [];
  return items.flatMap((item, i) => {
    const talk = parseTalk(item);
    if (talk) return [talk];
    const message = texts.talksJsonTalkCouldNotBeRead(i + 1);
    problems.push({ code: 'unreadable-value', line: i + 2, message, text: JSON.stringify(item) });
    return [];
  });
}

function faultOf(name: string, what: string): Problem {
  return { code: 'unreadable-value', line: 0, message: `${name} ${what}` };
}

function parseJson(bytes: Uint8Array | undefined): unknown {
  try {
    return bytes && JSON.parse(decodeUtf8(bytes) ?? '');
  } catch {
    return undefined;
  }
}
