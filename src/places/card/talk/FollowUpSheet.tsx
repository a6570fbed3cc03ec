import { useState } from 'react';
import { View } from 'react-native';

import { changeMany } from '@/book/commit';
import { useAppDispatch, useServices } from '@/book/state';
import { findWhen, parseWhen } from '@/core/base';
import { type Card, shownAs } from '@/core/card';
import { type PlannedFollowUp, withFollowUp } from '@/core/talks';
import { localDay, LOCALE } from '@/platform';
import { texts } from '@/texts/card/talk';
import { Act, Field, NextAct, Sheet, Trash } from '@/ui';

import { toId } from './toId';
import { WhenField } from './WhenField';

interface FollowUpSheetProps {
  readonly card: Card;
  /** The one that is changed; undefined for a new one. */
  readonly planned?: PlannedFollowUp;
  /** What a new one begins with. */
  readonly text?: string;
  readonly onClose: () => void;
}

/** Something to be reminded of: what, and on which day. A day that the text itself speaks of is taken from there. */
export function FollowUpSheet({ card, planned, text: begun = '', onClose }: FollowUpSheetProps) {
  const dispatch = useAppDispatch();
  const { newUid } = useServices();
  const [text, setText] = useState(planned?.text ?? begun);
  const [when, setWhen] = useState(planned?.day ?? '');
  const today = localDay();
  const said = when.trim() === '' ? findWhen(text, today)?.day : undefined;
  const day = said ?? parseWhen(when, today, LOCALE) ?? (when === planned?.day ? planned.day : undefined);
  const change = (label: string, followUp: { day: string; text: string } | undefined) => {
    const id = planned?.id ?? toId(newUid());
    const wish = { label: `${label}: ${shownAs(card)}`, cards: [card] };
    void dispatch(changeMany({ ...wish, change: (one) => withFollowUp(one, id, followUp) }));
    onClose();
  };
  return (
    <Sheet title={texts.remindMeAbout(shownAs(card) || texts.them)} isOpen onClose={onClose}>
      <View className="gap-3">
        <Field label={texts.what} value={text} onChange={setText} isFirst testID="follow-up-text" />
        <WhenField label={texts.when} value={when} onChange={setWhen} day={day} testID="follow-up-when" />
        <NextAct
          label={texts.save}
          isDisabled={text.trim() === '' || day === undefined}
          onPress={() => {
            if (day !== undefined)
              change(planned ? texts.changedReminder : texts.setReminder, { day, text: text.trim() });
          }}
          testID="save-follow-up"
        />
        {planned ? (
          <View className="flex-row">
            <Act
              label={texts.deleteThisReminder}
              icon={Trash}
              tone="brick"
              onPress={() => change(texts.deletedReminder, undefined)}
            />
          </View>
        ) : null}
      </View>
    </Sheet>
  );
}
