import { useState } from 'react';
import { View } from 'react-native';

import { selectSummaries, useAppSelector } from '@/book/state';
import { parseWhen } from '@/core/base';
import type { Card } from '@/core/card';
import { formatRhythm, type Rhythm, RHYTHM_UNITS, usualGap, withRhythm } from '@/core/talks';
import { localDay, LOCALE } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/talk';
import { Act, Choice, Field, NextAct, Sheet, Switch, Txt } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';
import { WhenField } from './WhenField';

/** How often to be in touch with one or several, or with everybody on a list; and for one the day of the next talk. */
export function RhythmSheet({ cards, onSheet, onChange }: ManySheetProps) {
  const [first] = cards;
  const known = first?.['cordialis.example:rhythm'];
  const [every, setEvery] = useState(String(known?.every ?? 1));
  const [unit, setUnit] = useState<Rhythm['unit']>(known?.unit ?? 'month');
  const [isPaused, setPaused] = useState(known?.paused === true);
  const [due, setDue] = useState(first?.['cordialis.example:due'] ?? '');
  const isOne = cards.length === 1 && first?.kind !== 'group';
  const today = localDay();
  const day = due.trim() === '' ? '' : parseWhen(due, today, LOCALE);
  const count = Number(every.replace(/\D/g, ''));
  const rhythm: Rhythm = { every: count, unit, ...(isPaused ? { paused: true } : {}) };
  const who = nameCards(cards);
  const run = (label: string, change: (card: Card) => Card) => {
    onSheet(undefined);
    void onChange({ cards, label, change });
  };
  return (
    <Sheet title={texts.inTouchWith(who)} isOpen onClose={() => onSheet(undefined)}>
      <View className="gap-3">
        <Proposal
          card={isOne ? first : undefined}
          onTake={(days) => {
            setEvery(String(days));
            setUnit('day');
          }}
        />
        <Field label={texts.every} value={every} onChange={setEvery} kind="tel" testID="rhythm-every" />
        <Choice name={texts.unit} options={RHYTHM_UNITS} value={unit} onChange={setUnit} />
        <Switch
          label={shared.stoppedForNow}
          hint={texts.keepsRhythmButNothing}
          isOn={isPaused}
          onChange={setPaused}
        />
        {isOne ? (
          <WhenField
            label={texts.nextTalk}
            value={due}
            onChange={setDue}
            day={day === '' ? undefined : day}
            placeholder={texts.byRhythmOrDay}
            testID="rhythm-due"
          />
        ) : null}
        <NextAct
          label={texts.save}
          isDisabled={count < 1 || day === undefined}
          onPress={() =>
            run(texts.setFor(formatRhythm(rhythm), who), (card) =>
              withDue(withRhythm(card, rhythm), isOne ? day : undefined),
            )
          }
          testID="save-rhythm"
        />
        <View className="flex-row">
          <Act
            label={texts.noRhythm}
            tone="faded"
            onPress={() =>
              run(texts.removedRhythmOf(who), (card) =>
                withDue(withRhythm(card, undefined), isOne ? day : undefined),
              )
            }
            testID="no-rhythm"
          />
        </View>
      </View>
    </Sheet>
  );
}

/** What has been usual, where there is enough to say so; only offered. */
function Proposal({
  card,
  onTake,
}: {
  readonly card: Card | undefined;
  readonly onTake: (days: number) => void;
}) {
  const summary = useAppSelector((state) => (card ? selectSummaries(state).get(card.uid) : undefined));
  const gap = summary ? usualGap(summary) : undefined;
  if (gap === undefined) return null;
  const days = Math.max(1, Math.round(gap));
  return (
    <View className="flex-row flex-wrap items-center gap-x-3">
      <Txt size="small" tone="faded">
        {texts.talksWereUsuallyDays(days)}
      </Txt>
      <Act label={texts.useIt} onPress={() => onTake(days)} />
    </View>
  );
}

/** @param day - '' takes the day away that was set by hand; undefined leaves it */
function withDue(card: Card, day: string | undefined): Card {
  if (day === undefined) return card;
  const { 'cordialis.example:due': _, ...rest } = card;
  return day === '' ? rest : { ...rest, 'cordialis.example:due': day };
}
