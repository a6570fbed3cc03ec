import { lazy, Suspense } from 'react';
import { View } from 'react-native';

import { selectSaving, selectUnfinished, useAppSelector, useServices } from '@/book/state';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/frame/frame';
import { Act, Txt } from '@/ui';

/** Seldom needed, and loaded then. */
const Unfinished = lazy(() => import('./seldom').then((seldom) => ({ default: seldom.Unfinished })));

/** What stays on the page until it is over: changes that could not be saved, long changes left half done. */
export function StandingBars() {
  const saving = useAppSelector(selectSaving);
  const unfinished = useAppSelector(selectUnfinished);
  return (
    <>
      {saving.kind === 'failed' ? <NotSaved message={saving.message} /> : null}
      <Suspense fallback={null}>
        {unfinished.map((step) => (
          <Unfinished key={step.id} step={step} />
        ))}
      </Suspense>
    </>
  );
}

function NotSaved({ message }: { readonly message: string }) {
  const { writer } = useServices();
  return (
    <View role="alert" testID="not-saved" className="border-t border-rule bg-leaf px-5 py-2">
      <Txt tone="brick" font="sansBold">
        {texts.notSaved(message)}
      </Txt>
      <Txt>{texts.keepThisPageOpen}</Txt>
      <View className="flex-row flex-wrap gap-x-5">
        <Act label={texts.tryAgain} onPress={() => void writer.flush()} />
        <Act label={texts.createBackup} onPress={() => go('/settings')} />
      </View>
    </View>
  );
}
