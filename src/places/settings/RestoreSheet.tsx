import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';

import { previewImport, restoreBackup } from '@/book/formats';
import { noticeShown, selectCounts, useAppDispatch, useAppSelector } from '@/book/state';
import type { ImportComparison, RestoredBackup } from '@/core/formats';
import { formatDay } from '@/platform';
import { texts } from '@/texts/settings/settings';
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
      dispatch(noticeShown({ text: texts.backupCouldNotBeRestored(error.message), tone: 'error' }));
      setShare(undefined);
    });
  };
  return (
    <Sheet title={texts.backupOf(formatDay(backup.manifest.made.slice(0, 10)))} isOpen onClose={onClose}>
      <View className="gap-3" testID="restore-sheet">
        <Txt>
          {texts.backupHolds({
            cards: backup.cards.length,
            fresh: intake.fresh.length,
            different: intake.different.length,
            same: intake.same.length,
            talks: backup.talks.length,
          })}
        </Txt>
        {backup.problems.map(({ message }) => (
          <Txt key={message} tone="ochre">
            {message}
          </Txt>
        ))}
        <Switch
          label={texts.exactlyAsItWasThen}
          hint={texts.removesCardsThatAreNotInBackup(beyond)}
          isOn={isExact}
          onChange={setExact}
          testID="restore-exact"
        />
        <Switch
          label={texts.settingsAsWell}
          isOn={withSettings}
          onChange={setSettings}
          testID="restore-settings"
        />
        {share01 === undefined ? (
          <View className="flex-row items-center gap-4">
            <NextAct label={texts.restoreIt} onPress={restore} testID="do-restore" />
            <Act label={texts.cancel} tone="faded" onPress={onClose} />
          </View>
        ) : (
          <ProgressLine text={texts.restoring} share01={share01} onStop={() => (isStopped.current = true)} />
        )}
        <Txt size="small" tone="faded">
          {texts.undoRestoresCardsAfterwards}
        </Txt>
      </View>
    </Sheet>
  );
}
