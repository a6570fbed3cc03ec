import { useEffect } from 'react';

import { changeSettings } from '@/book/commit';
import {
  noticeShown,
  selectCounts,
  selectReading,
  selectSettings,
  useAppDispatch,
  useAppSelector,
} from '@/book/state';
import { bookName, nowMs } from '@/platform';
import { texts } from '@/texts/frame/frame';

const DAY_MS = 86_400_000;
/** Days after which a backup is old, and cards from which a book needs one. */
const OLD_AFTER_DAYS = 30;
const CARDS_WORTH_IT = 20;
/** How long until the next reminder. */
const AGAIN_AFTER_DAYS = 7;

/** Says once a week that the last backup is old, in the user's own book. */
export function useBackupReminder(): void {
  const dispatch = useAppDispatch();
  const isRead = useAppSelector(selectReading) === undefined;
  const counts = useAppSelector(selectCounts);
  const { lastBackupAt, backupRemindedAt } = useAppSelector(selectSettings);
  const isLarge = counts.people + counts.organisations >= CARDS_WORTH_IT;
  useEffect(() => {
    if (!isRead || !isLarge || bookName() === 'cordialis-demo') return;
    // A book that has just grown large enough has a week, too.
    if (backupRemindedAt === '') {
      dispatch(changeSettings({ backupRemindedAt: new Date(nowMs()).toISOString() }));
      return;
    }
    const age = daysSince(lastBackupAt);
    if (age < OLD_AFTER_DAYS || daysSince(backupRemindedAt) < AGAIN_AFTER_DAYS) return;
    const text = lastBackupAt === '' ? texts.noBackupOfThisBook : texts.lastBackupIsDays(age);
    dispatch(noticeShown({ text: texts.settingsHasCreateBackup(text), tone: 'plain' }));
    dispatch(changeSettings({ backupRemindedAt: new Date(nowMs()).toISOString() }));
  }, [isRead, isLarge, lastBackupAt, backupRemindedAt, dispatch]);
}

/** Whole days since a moment; very many where there is none. */
function daysSince(utc: string): number {
  return utc === '' ? Infinity : Math.floor((nowMs() - Date.parse(utc)) / DAY_MS);
}
