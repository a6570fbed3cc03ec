import { type Job, readBackupInWorker, writeBackupInWorker } from '@/book/clients';
import { type BatchOptions, changeInBatches, changeSettings, readAllTalks } from '@/book/commit';
import { type Change, removed, type TalkChange } from '@/book/history';
import { type AppThunk, selectCardsByUid, selectSettings, settingsSchema } from '@/book/state';
import { withPhotos } from '@/book/store';
import { withFiles, withoutFiles } from '@/book/talks';
import { isSameJson } from '@/core/base';
import type { RestoredBackup } from '@/core/formats';
import type { Talk } from '@/core/talks';
import { texts } from '@/texts/formats/formats';

/** Starts putting the whole book, photos and settings included, into one file. */
export function backUpBook(): AppThunk<Promise<Job<Uint8Array>>> {
  return async (dispatch, getState, services) => {
    const state = getState();
    const cards = await withPhotos(selectCardsByUid(state).values(), services.photos);
    const talks = await withFiles(await dispatch(readAllTalks()), services.photos);
    return writeBackupInWorker({ cards, talks, settings: selectSettings(state), made: services.utcNow() });
  };
}

/** Notes that a backup has been handed to the user. */
export function noteBackup(): AppThunk {
  return (dispatch, _, services) => dispatch(changeSettings({ lastBackupAt: services.utcNow() }));
}

/** Starts reading a backup; nothing is applied yet. */
export function openBackup(bytes: Uint8Array): Job<RestoredBackup> {
  return readBackupInWorker(bytes);
}

/** How a backup is restored. */
export interface RestoreOptions extends BatchOptions {
  /** Cards that are in the book and not in the backup go; without it they stay. */
  readonly isExact: boolean;
  readonly withSettings: boolean;
}

/** Puts a backup's cards into the book as one undoable step; settings are applied separately. */
export function restoreBackup(
  backup: RestoredBackup,
  { isExact, withSettings, ...pieces }: RestoreOptions,
): AppThunk<Promise<Change | undefined>> {
  return async (dispatch, getState, services) => {
    const kept = new Set(backup.cards.map(({ uid }) => uid));
    const gone = isExact
      ? selectCardsByUid(getState())
          .values()
          .filter(({ uid }) => !kept.has(uid))
      : [];
    // A restored card takes the place of what there is: that is what restoring means.
    const edits = [
      ...backup.cards.map((card) => ({ uid: card.uid, apply: () => card })),
      ...gone.map(removed),
    ];
    const label = texts.restoredBackupOf(backup.manifest.made.slice(0, 10));
    const files = services.photos;
    const talks = await dispatch(talkChanges(await withoutFiles(backup.talks, files), isExact));
    const wish = { cause: 'import' as const, label, edits, talks };
    const change = await dispatch(changeInBatches(wish, pieces));
    if (withSettings && pieces.isStopped?.() !== true) {
      const { lastBackupAt: _, ...settings } = settingsSchema.parse(backup.settings ?? {});
      dispatch(changeSettings(settings));
    }
    return change;
  };
}

/** What makes the book's talks those of a backup; without `isExact` others stay. */
function talkChanges(talks: readonly Talk[], isExact: boolean): AppThunk<Promise<TalkChange[]>> {
  return async (dispatch) => {
    const known = new Map((await dispatch(readAllTalks())).map((talk) => [talk.id, talk]));
    const kept = new Set(talks.map(({ id }) => id));
    const changed = talks.flatMap((after): TalkChange[] => {
      const before = known.get(after.id);
      if (before && isSameJson(before, after)) return [];
      return [before ? { before, after } : { after }];
    });
    const gone = [...known.values()].filter(({ id }) => isExact && !kept.has(id));
    return [...changed, ...gone.map((before): TalkChange => ({ before }))];
  };
}
