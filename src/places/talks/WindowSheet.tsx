import { useState } from 'react';
import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectLists, selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { shownAs } from '@/core/card';
import { texts } from '@/texts/talks/talks';
import { Act, Choice, Field, ListFilter, NextAct, Sheet, Txt } from '@/ui';

/** Days that the almanac can show at least and at most. */
const [FEWEST, MOST] = [7, 400];

/** Says what the almanac shows, and leads to choosing it. */
export function WindowAct({ days, onPress }: { readonly days: number; readonly onPress: () => void }) {
  const { daysOf } = useAppSelector(selectSettings);
  const list = useAppSelector(selectLists).find(({ uid }) => uid === daysOf);
  const span = days % 7 === 0 ? texts.weekCount(days / 7) : texts.dayCount(days);
  const words = `${span}, ${list ? shownAs(list) : 'everybody'}`;
  return (
    <Act
      label={words}
      name={texts.comingChoose(words)}
      icon={ListFilter}
      tone="faded"
      onPress={onPress}
      testID="window"
    />
  );
}

/** How far the almanac looks ahead, and whose days are kept. */
export function WindowSheet({ onClose }: { readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const { almanacDays, daysOf } = useAppSelector(selectSettings);
  const lists = useAppSelector(selectLists);
  const [typed, setTyped] = useState(String(almanacDays));
  const days = Number(typed);
  const isWrong = !Number.isInteger(days) || days < FEWEST || days > MOST;
  const keep = () => {
    dispatch(changeSettingsUndoably(texts.daysShownAhead, { almanacDays: days }));
    onClose();
  };
  return (
    <Sheet title={texts.almanac} isOpen onClose={onClose}>
      <View className="gap-4">
        <Field
          label={texts.daysAhead}
          value={typed}
          onChange={setTyped}
          kind="tel"
          error={isWrong ? texts.anyNumberFromTo(FEWEST, MOST) : undefined}
          hint={texts.from28IsFourWeeks}
          testID="window-days"
        />
        <View>
          <Txt size="small" tone="faded">
            {texts.whoseBirthdaysAndAnniversaries}
          </Txt>
          <Choice
            name={texts.whoseBirthdaysAndAnniversaries}
            options={[['', texts.everybodys], ...lists.map((list) => [list.uid, shownAs(list)] as const)]}
            value={daysOf}
            onChange={(uid) => dispatch(changeSettingsUndoably(texts.whoseDaysAreShown, { daysOf: uid }))}
          />
        </View>
        <NextAct label={texts.keep} isDisabled={isWrong} onPress={keep} testID="keep-window" />
      </View>
    </Sheet>
  );
}
