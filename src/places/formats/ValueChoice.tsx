import { useState } from 'react';
import { View } from 'react-native';

import { type Card, valueText } from '@/core/card';
import { type ImportValue, importValues, type ValueSide } from '@/core/formats';
import { texts } from '@/texts/formats/formats';
import { Act, Tick, Txt } from '@/ui';

interface ValueChoiceProps {
  readonly name: string;
  readonly now: Card;
  /** With all that the file says. */
  readonly merged: Card;
  readonly sideOf: (value: ImportValue) => ValueSide;
  readonly onTake: (value: ImportValue, isTaken: boolean) => void;
}

/** The values that a file has for a card of the book, one by one: what stands there now, and what would. */
export function ValueChoice({ name, now, merged, sideOf, onTake }: ValueChoiceProps) {
  const [isOpen, setOpen] = useState(false);
  const values = importValues(now, merged);
  const taken = values.filter((value) => sideOf(value) !== 'mine').length;
  return (
    <View className="pl-8">
      <View className="flex-row">
        <Act
          label={isOpen ? texts.hideValues : texts.chooseValues(taken, values.length)}
          name={`${name}: ${texts.chooseValues(taken, values.length)}`}
          tone="faded"
          onPress={() => setOpen(!isOpen)}
          testID="choose-values"
        />
      </View>
      {isOpen
        ? values.map((value) => (
            <Tick
              key={value.id}
              name={`${name}, ${value.what}: ${textOf(value.file)}`}
              isOn={sideOf(value) !== 'mine'}
              onChange={(isOn) => onTake(value, isOn)}
              testID={`value-${value.id}`}
            >
              <Txt size="small" tone="faded">
                {value.what}
              </Txt>
              <Txt>{value.file === undefined ? texts.goesAway : textOf(value.file)}</Txt>
              {value.isConflict || value.file === undefined ? (
                <Txt size="small" tone="faded">
                  {(sideOf(value) === 'both' ? texts.besideYours : texts.youHave)(textOf(value.now))}
                </Txt>
              ) : null}
            </Tick>
          ))
        : null}
    </View>
  );
}

function textOf(value: unknown): string {
  return valueText(value) || texts.newOne;
}
