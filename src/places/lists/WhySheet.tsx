import { View } from 'react-native';

import { useListName, useReasons } from '@/book/lists';
import { selectRow, useAppSelector } from '@/book/state';
import type { Uid } from '@/core/card';
import { formatRule, type Rule } from '@/core/find';
import { texts } from '@/texts/lists/lists';
import { Check, Minus, Sheet, Txt, useColours } from '@/ui';

interface WhySheetProps {
  readonly uid: Uid;
  readonly rule: Rule;
  readonly onClose: () => void;
}

/** Why somebody is on a list: each condition of its rule, and whether it is true of them. */
export function WhySheet({ uid, rule, onClose }: WhySheetProps) {
  const colours = useColours();
  const nameOf = useListName();
  const name = useAppSelector((state) => selectRow(state, uid))?.shown ?? '';
  const reasons = useReasons(uid, rule);
  return (
    <Sheet title={texts.whyIsOnIt(name)} isOpen onClose={onClose}>
      {reasons?.length === 0 ? <Txt tone="faded">{texts.everybodyIsListHasNoCondition}</Txt> : null}
      {reasons?.map(({ test, isTrue }, i) => {
        const Mark = isTrue ? Check : Minus;
        return (
          <View key={i} className="min-h-[44px] flex-row items-center gap-3 border-b border-rule">
            <Mark size={20} strokeWidth={1.75} color={isTrue ? colours.moss : colours.faded} />
            <View className="min-w-0 flex-1">
              <Txt>{formatRule(test, nameOf)}</Txt>
            </View>
            <Txt size="small" tone="faded">
              {isTrue ? texts.true : texts.notTrue}
            </Txt>
          </View>
        );
      })}
    </Sheet>
  );
}
