import { useRef, useState } from 'react';
import { View } from 'react-native';

import { finishLong, keepAsItIs, undo } from '@/book/commit';
import type { Step } from '@/book/history';
import { useAppDispatch } from '@/book/state';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/frame/frame';
import { Act, ProgressLine, Txt } from '@/ui';

/** A long change that a closed page has left half done, to be finished or undone. */
export function Unfinished({ step }: { readonly step: Step }) {
  return step.intake === undefined ? <UnfinishedChange step={step} /> : <UnfinishedImport step={step} />;
}

/** Of an import of talks the page no longer has the files. */
function UnfinishedImport({ step }: { readonly step: Step }) {
  const dispatch = useAppDispatch();
  const keep = () => dispatch(keepAsItIs(step));
  return (
    <View role="status" testID="unfinished" className="border-t border-rule bg-leaf px-5 py-2">
      <Txt>{texts.importWasInterrupted(step.label, step.talks)}</Txt>
      <View className="flex-row flex-wrap gap-x-5">
        <Act
          label={texts.readTheFileAgain}
          onPress={() => void keep().then(() => go('/import/talks'))}
          testID="finish-import"
        />
        <Act label={texts.keepWhatCame} tone="faded" onPress={() => void keep()} testID="keep-import" />
        <Act
          label={texts.undoIt}
          tone="faded"
          onPress={() => void dispatch(undo(step.id))}
          testID="undo-long"
        />
      </View>
    </View>
  );
}

function UnfinishedChange({ step }: { readonly step: Step }) {
  const dispatch = useAppDispatch();
  const [share01, setShare] = useState<number>();
  const isStopped = useRef(false);
  const finish = () => {
    isStopped.current = false;
    setShare(0);
    const options = { onProgress: setShare, isStopped: () => isStopped.current };
    void dispatch(finishLong(step, options)).finally(() => setShare(undefined));
  };
  return (
    <View role="status" testID="unfinished" className="border-t border-rule bg-leaf px-5 py-2">
      {share01 === undefined ? (
        <>
          <Txt>{texts.wasInterrupted(step.label, step.cards, step.talks)}</Txt>
          <View className="flex-row flex-wrap gap-x-5">
            <Act label={texts.finishIt} onPress={finish} testID="finish-long" />
            <Act
              label={texts.undoIt}
              tone="faded"
              onPress={() => void dispatch(undo(step.id))}
              testID="undo-long"
            />
          </View>
        </>
      ) : (
        <ProgressLine text={step.label} share01={share01} onStop={() => (isStopped.current = true)} />
      )}
    </View>
  );
}
