import { useState } from 'react';
import { View } from 'react-native';

import { backUpBook, noteBackup, openBackup } from '@/book/formats';
import { noticeShown, selectSettings, useAppDispatch, useAppSelector, useWhenRead } from '@/book/state';
import type { RestoredBackup } from '@/core/formats';
import { fileName, formatDay, localDay, pickFiles, saveFile } from '@/platform';
import { Act, ProgressLine, Txt } from '@/ui';

import { RestoreSheet } from './RestoreSheet';

/** The whole book as one file to put away, and the way back. */
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
        dispatch(noticeShown({ text: `That did not work: ${error.message}`, tone: 'error' })),
      )
      .finally(() => setWorking(undefined));
  };
  const make = () =>
    run('Packing the book', async () => {
      await whenRead();
      const bytes = await (await dispatch(backUpBook())).result;
      saveFile(fileName(`Cordialis backup ${localDay()}`, 'zip'), bytes, 'application/zip');
      dispatch(noteBackup());
      dispatch(
        noticeShown({ text: 'The backup is saved as a file; keep it on another device', tone: 'plain' }),
      );
    });
  const choose = () =>
    run('Opening the backup', async () => {
      const [file] = await pickFiles('.zip,application/zip');
      if (!file) return;
      await whenRead();
      setOpened(await openBackup(new Uint8Array(await file.arrayBuffer())).result);
    });
  return (
    <View className="pt-1">
      <Txt>
        {lastBackupAt === ''
          ? 'No backup has been made yet.'
          : `The last backup is of ${formatDay(lastBackupAt.slice(0, 10))}.`}
      </Txt>
      {working === undefined ? (
        <View className="flex-row flex-wrap gap-x-5">
          <Act label="Create a backup" onPress={make} testID="make-backup" />
          <Act label="Restore a backup" onPress={choose} testID="restore-backup" />
        </View>
      ) : (
        <ProgressLine text={working} share01={undefined} />
      )}
      <Txt size="small" tone="faded">
        One zip archive with every card, photo and setting, private ones too; any program can open it.
      </Txt>
      {opened ? <RestoreSheet backup={opened} onClose={() => setOpened(undefined)} /> : null}
    </View>
  );
}
