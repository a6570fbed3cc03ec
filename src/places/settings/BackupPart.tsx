import { useRef, useState } from 'react';
import { View } from 'react-native';

import type { Job } from '@/book/clients';
import { backUpBook, noteBackup, openBackup, type OpenedBackup } from '@/book/formats';
import { noticeShown, selectSettings, useAppDispatch, useAppSelector, useWhenRead } from '@/book/state';
import { errorMessage } from '@/core/base';
import { fileName, formatDay, localDay, pickFiles, saveFile } from '@/platform';
import { texts } from '@/texts/settings/settings';
import { Act, ProgressLine, Txt } from '@/ui';

import { RestoreSheet } from './RestoreSheet';

/** Backing up the whole book as one file, and restoring it. */
export function BackupPart() {
  const dispatch = useAppDispatch();
  const whenRead = useWhenRead();
  const { lastBackupAt } = useAppSelector(selectSettings);
  const [working, setWorking] = useState<{ readonly text: string; readonly share01: number }>();
  const [opened, setOpened] = useState<OpenedBackup>();
  const job = useRef<Job<unknown>>(undefined);
  const run = async (text: string, work: (onProgress: (share01: number) => void) => Promise<void>) => {
    setWorking({ text, share01: 0 });
    try {
      await work((share01) => setWorking({ text, share01 }));
    } catch (error) {
      const reason = errorMessage(error);
      if (reason !== 'stopped') dispatch(noticeShown({ text: texts.thatDidNotWork(reason), tone: 'error' }));
    } finally {
      setWorking(undefined);
      job.current = undefined;
    }
  };
  const make = () =>
    run(texts.packingBook, async (onProgress) => {
      await whenRead();
      const packing = await dispatch(backUpBook(onProgress));
      job.current = packing;
      saveFile(fileName(texts.cordialisBackup(localDay()), 'zip'), await packing.result, 'application/zip');
      dispatch(noteBackup());
      dispatch(noticeShown({ text: texts.backupIsSavedAsFile, tone: 'plain' }));
    });
  const choose = () =>
    run(texts.openingBackup, async (onProgress) => {
      const [file] = await pickFiles('.zip,application/zip');
      if (!file) return;
      await whenRead();
      setOpened(await dispatch(openBackup(file, onProgress, (one) => (job.current = one))));
    });
  return (
    <View className="pt-1">
      <Txt>
        {lastBackupAt === ''
          ? texts.noBackupHasBeen
          : texts.lastBackupIsOf(formatDay(lastBackupAt.slice(0, 10)))}
      </Txt>
      {working === undefined ? (
        <View className="flex-row flex-wrap gap-x-5">
          <Act label={texts.createBackup} onPress={() => void make()} testID="make-backup" />
          <Act label={texts.restoreBackup} onPress={() => void choose()} testID="restore-backup" />
        </View>
      ) : (
        <ProgressLine text={working.text} share01={working.share01} onStop={() => job.current?.stop()} />
      )}
      <Txt size="small" tone="faded">
        {texts.oneZipArchiveWithEvery}
      </Txt>
      {opened ? <RestoreSheet backup={opened} onClose={() => setOpened(undefined)} /> : null}
    </View>
  );
}
