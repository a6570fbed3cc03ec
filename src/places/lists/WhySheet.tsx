import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { useListName } from '@/book/lists';
import { selectRow, useAppSelector, useServices } from '@/book/state';
import type { Uid } from '@/core/card';
import { formatRule, isGroup, type Rule, type Test } from '@/core/find';
import { localDay } from '@/platform';
import { texts } from '@/texts/lists/lists';
import { Check, Minus, Sheet, Txt, useColours } from '@/ui';

interface WhySheetProps {
  readonly uid: Uid;
  readonly rule: Rule;
  readonly onClose: () => void;
}

/** Why somebody is on a list: each condition of its rule, and whether it is true of them. */
export function WhySheet({ uid, rule, onClose }: WhySheetProps) {
  const { search } = useServices();
  const colours = useColours();
  const nameOf = useListName();
  const name = useAppSelector((state) => selectRow(state, uid))?.shown ?? '';
  const [answers, setAnswers] = useState<readonly { test: Test; isTrue: boolean }[]>([]);
  useEffect(() => {
    let isCurrent = true;
    const tests = testsOf(rule);
    void Promise.all(tests.map((test) => search.matching(test, localDay()))).then((found) => {
      if (isCurrent) setAnswers(tests.map((test, i) => ({ test, isTrue: found[i]?.includes(uid) === true })));
    });
    return () => {
      isCurrent = false;
    };
  }, [rule, search, uid]);
  return (
    <Sheet title={texts.whyIsOnIt(name)} isOpen onClose={onClose}>
      {answers.length === 0 ? <Txt tone="faded">{texts.everybodyIsListHasNoCondition}</Txt> : null}
      {answers.map(({ test, isTrue }, i) => {
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

function testsOf(rule: Rule): Test[] {
  return isGroup(rule) ? rule.rules.flatMap(testsOf) : [rule];
}
