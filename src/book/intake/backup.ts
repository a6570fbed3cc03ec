import type { RestoredBackup } from '@/core/backup';

import type { AppThunk } from '../appStore';
import { selectCardsByUid } from '../cards/cardsSlice';
import { changeInPieces, type PiecesOptions } from '../changeInPieces';
import { type Job, readBackupInWorker, writeBackupInWorker } from '../clients/filesClient';
import type { Change } from '../history/change';
import { withPhotos } from '../photos/withPhotos';
import { changeSettings } from '../settings/changeSettings';
import { selectSettings, settingsSchema } from '../settings/settingsSlice';

/** Starts putting the whole book, photos and settings included, into one file. */
export function backUpBook(): AppThunk<Promise<Job<Uint8Array>>> {
  return async (_, getState, services) => {
    const state = getState();
    const cards = await withPhotos(selectCardsByUid(state).values(), services.photos);
    return writeBackupInWorker({ cards, settings: selectSettings(state), made: services.utcNow() });
  };
}

/** Notes that a backup has been handed to the user. */
export function noteBackup(): AppThunk {
  return (dispatch, _, services) => dispatch(changeSettings({ lastBackupAt: services.utcNow() }));
}

/** Starts reading a backup; nothing is put in force by it. */
export function openBackup(bytes: Uint8Array): Job<RestoredBackup> {
  return readBackupInWorker(bytes);
}

/** How a backup is restored. */
export interface RestoreOptions extends PiecesOptions {
  /** Cards that are in the book and not in the backup go; without it they stay. */
  readonly isExact: boolean;
  readonly withSettings: boolean;
}

/** Puts a backup's cards into the book, as one step that can be undone; settings are put in force apart from it. */
export function restoreBackup(
  backup: RestoredBackup,
  { isExact, withSettings, ...pieces }: RestoreOptions,
): AppThunk<Promise<Change | undefined>> {
  return async (dispatch, getState) => {
    const kept = new Set(backup.cards.map(({ uid }) => uid));
    const removed = isExact
      ? selectCardsByUid(getState())
          .uids()
          .filter((uid) => !kept.has(uid))
      : [];
    const label = `Restored the backup of ${backup.manifest.made.slice(0, 10)}`;
    const wish = { cause: 'import' as const, label, upserts: backup.cards, removed };
    const change = await dispatch(changeInPieces(wish, pieces));
    if (withSettings && pieces.isStopped?.() !== true) {
      const { lastBackupAt: _, ...settings } = settingsSchema.parse(backup.settings ?? {});
      dispatch(changeSettings(settings));
    }
    return change;
  };
}
