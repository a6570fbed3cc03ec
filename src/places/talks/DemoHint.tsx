import { View } from 'react-native';

import { noteStepOver } from '@/book/settings';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { bookName } from '@/platform';
import { texts } from '@/texts/talks/talks';
import { Act, Txt, X } from '@/ui';

const HINT = 'demo';

/** On first opening the demo: whose book it is, and what to try. */
export function DemoHint() {
  const dispatch = useAppDispatch();
  const { stepsOver } = useAppSelector(selectSettings);
  if (bookName() !== 'cordialis-demo' || stepsOver.includes(HINT)) return null;
  return (
    <View
      className="mx-5 mt-3 flex-row items-start gap-2 border-y border-rule bg-leaf pl-4 wide:mx-6"
      testID="demo-hint"
    >
      <View className="min-w-0 flex-1 py-3">
        <Txt>{texts.whatToTry}</Txt>
      </View>
      <Act label={texts.seen} icon={X} iconOnly tone="faded" onPress={() => dispatch(noteStepOver(HINT))} />
    </View>
  );
}
