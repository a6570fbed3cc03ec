import { useRef, useState } from 'react';
import { View } from 'react-native';

import { type OpenedBackup, restoreBackup } from '@/book/formats';
import { noticeShown, selectCounts, useAppDispatch, useAppSelector } from '@/book/state';
import { formatDay } from '@/platform';
import { texts } from '@/texts/settings/settings';
import { Act, NextAct, ProgressLine, Sheet, Switch, Txt } from '@/ui';

/** What restoring a backup would do; nothing is done before it is asked for. */
export function RestoreSheet({
  backup,
  onClose,
}: {
  readonly backup: OpenedBackup;
  readonly onClose: () => void;
}) {
  const dispatch = useAppDispatch();
  const counts = useAppSelector(selectCounts);
  const [isExact, setExact] = useState(false);
  const [withSettings, setSettings] = useState(false);
  const [share01, setShare] = useState<number>();
  const isStopped = useRef(false);
  const { manifest, cards, talks, problems } = backup.summary;
  const known = backup.same + backup.different;
  // As it was when the backup was opened: restoring changes the counts.
  const [beyond] = useState(() => Math.max(0, counts.people + counts.organisations - known));
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
    <Sheet title={texts.backupOf(formatDay(manifest.made.slice(0, 10)))} isOpen onClose={onClose}>
      <View className="gap-3" testID="restore-sheet">
        <Txt>
          {texts.backupHolds({
            cards,
            talks,
            fresh: backup.fresh,
            different: backup.different,
            same: backup.same,
          })}
        </Txt>
        {problems.map(({ message }) => (
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
