import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';

import { previewImport, restoreBackup } from '@/book/formats';
import { noticeShown, selectCounts, useAppDispatch, useAppSelector } from '@/book/state';
import type { ImportComparison, RestoredBackup } from '@/core/formats';
import { formatCount, formatDay } from '@/platform';
import { Act, NextAct, ProgressLine, Sheet, Switch, Txt } from '@/ui';

/** What restoring a backup would do; nothing is done before it is asked for. */
export function RestoreSheet({
  backup,
  onClose,
}: {
  readonly backup: RestoredBackup;
  readonly onClose: () => void;
}) {
  const dispatch = useAppDispatch();
  const counts = useAppSelector(selectCounts);
  const [intake, setIntake] = useState<ImportComparison>();
  const [isExact, setExact] = useState(false);
  const [withSettings, setSettings] = useState(false);
  const [share01, setShare] = useState<number>();
  const isStopped = useRef(false);
  useEffect(() => {
    void dispatch(previewImport(backup.cards)).then(setIntake);
  }, [backup, dispatch]);
  if (!intake) return null;
  const known = intake.same.length + intake.different.length;
  const beyond = Math.max(0, counts.people + counts.organisations - known);
  const restore = () => {
    setShare(0);
    dispatch(
      restoreBackup(backup, {
        isExact,
        withSettings,
        onProgress: setShare,
        isStopped: () => isStopped.current,
      }),
    ).then(onClose, (error: Error) => {
      dispatch(noticeShown({ text: `The backup could not be restored: ${error.message}`, tone: 'error' }));
      setShare(undefined);
    });
  };
  return (
    <Sheet title={`Backup of ${formatDay(backup.manifest.made.slice(0, 10))}`} isOpen onClose={onClose}>
      <View className="gap-3" testID="restore-sheet">
        <Txt>{`It has ${formatCount(backup.cards.length, 'card', 'cards')}: ${intake.fresh.length} that are not in the book, ${intake.different.length} that differ from it, ${intake.same.length} the same. ${formatCount(backup.talks.length, 'talk', 'talks')} with them.`}</Txt>
        {backup.problems.map(({ message }) => (
          <Txt key={message} tone="ochre">
            {message}
          </Txt>
        ))}
        <Switch
          label="Exactly as it was then"
          hint={`Removes ${formatCount(beyond, 'card', 'cards')} that are not in the backup`}
          isOn={isExact}
          onChange={setExact}
          testID="restore-exact"
        />
        <Switch
          label="Settings as well"
          isOn={withSettings}
          onChange={setSettings}
          testID="restore-settings"
        />
        {share01 === undefined ? (
          <View className="flex-row items-center gap-4">
            <NextAct label="Restore it" onPress={restore} testID="do-restore" />
            <Act label="Cancel" tone="faded" onPress={onClose} />
          </View>
        ) : (
          <ProgressLine text="Restoring" share01={share01} onStop={() => (isStopped.current = true)} />
        )}
        <Txt size="small" tone="faded">
          Undo restores the cards afterwards.
        </Txt>
      </View>
    </Sheet>
  );
}
