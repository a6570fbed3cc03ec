import { useState } from 'react';
import { View } from 'react-native';

import { backUpBook, noteBackup, openBackup } from '@/book/formats';
import { noticeShown, selectSettings, useAppDispatch, useAppSelector, useWhenRead } from '@/book/state';
import type { RestoredBackup } from '@/core/formats';
import { fileName, formatDay, localDay, pickFiles, saveFile } from '@/platform';
import { texts } from '@/texts/settings/settings';
import { Act, ProgressLine, Txt } from '@/ui';

import { RestoreSheet } from './RestoreSheet';

/** Backing up the whole book as one file, and restoring it. */
export function BackupPart() {
  const dispatch = useAppDispatch();
  const whenRead = useWhenRead();
  const { lastBackupAt } = useAppSelector(selectSettings);
  const [working, setWorking] = useState<string>();
  const [opened, setOpened] = useState<RestoredBackup>();
  const run = (text: string, work: () => Promise<void>) => {
    setWorking(text);
    work()
      .catch((error: Error) =>
        dispatch(noticeShown({ text: texts.thatDidNotWork(error.message), tone: 'error' })),
      )
      .finally(() => setWorking(undefined));
  };
  const make = () =>
    run(texts.packingBook, async () => {
      await whenRead();
      const bytes = await (await dispatch(backUpBook())).result;
      saveFile(fileName(texts.cordialisBackup(localDay()), 'zip'), bytes, 'application/zip');
      dispatch(noteBackup());
      dispatch(noticeShown({ text: texts.backupIsSavedAsFile, tone: 'plain' }));
    });
  const choose = () =>
    run(texts.openingBackup, async () => {
      const [file] = await pickFiles('.zip,application/zip');
      if (!file) return;
      await whenRead();
      setOpened(await openBackup(new Uint8Array(await file.arrayBuffer())).result);
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
          <Act label={texts.createBackup} onPress={make} testID="make-backup" />
          <Act label={texts.restoreBackup} onPress={choose} testID="restore-backup" />
        </View>
      ) : (
        <ProgressLine text={working} share01={undefined} />
      )}
      <Txt size="small" tone="faded">
        {texts.oneZipArchiveWithEvery}
      </Txt>
      {opened ? <RestoreSheet backup={opened} onClose={() => setOpened(undefined)} /> : null}
    </View>
  );
}
