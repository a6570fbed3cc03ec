import { type ReactNode, useState } from 'react';
import { View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { ArrowDown, ArrowUp } from '../icons';
import { Act } from './Act';
import { Tick } from './Tick';
import { Txt } from './Txt';

interface OrderedChoiceProps<T extends string> {
  readonly options: readonly (readonly [id: T, title: string])[];
  /** In the order chosen. */
  readonly chosen: readonly T[];
  readonly onChange: (chosen: T[]) => void;
  /** What ticking a line does, for screen readers: "Phone is offered at once". */
  readonly nameOf: (title: string) => string;
  /** Begins the test ids of the lines. */
  readonly testID: string;
  /** How many have to stay. */
  readonly atLeast?: number;
}

/** Some of many, in an order: the chosen ones first, each to be dragged or moved by its arrows; the others below. */
export function OrderedChoice<T extends string>(props: OrderedChoiceProps<T>) {
  const { options, chosen, onChange, nameOf, testID, atLeast = 0 } = props;
  const [dragged, setDragged] = useState<T>();
  const titleOf = (id: T) => options.find(([option]) => option === id)?.[1] ?? id;
  const moveTo = (id: T, place: number) => {
    const others = chosen.filter((one) => one !== id);
    onChange([...others.slice(0, place), id, ...others.slice(place)]);
  };
  const takeOut = (id: T) => {
    if (chosen.length > atLeast) onChange(chosen.filter((one) => one !== id));
  };
  return (
    <View>
      {chosen.map((id, at) => (
        <DragLine key={id} onDrag={() => setDragged(id)} onDrop={() => dragged && moveTo(dragged, at)}>
          <View className="min-w-0 flex-1">
            <Tick name={nameOf(titleOf(id))} isOn onChange={() => takeOut(id)} testID={`${testID}-${id}`}>
              <Txt>{titleOf(id)}</Txt>
            </Tick>
          </View>
          <Act
            label={texts.moveUp(titleOf(id))}
            icon={ArrowUp}
            iconOnly
            tone="faded"
            isDisabled={at === 0}
            onPress={() => moveTo(id, at - 1)}
            testID={`${testID}-up-${id}`}
          />
          <Act
            label={texts.moveDown(titleOf(id))}
            icon={ArrowDown}
            iconOnly
            tone="faded"
            isDisabled={at === chosen.length - 1}
            onPress={() => moveTo(id, at + 1)}
          />
        </DragLine>
      ))}
      {options
        .filter(([id]) => !chosen.includes(id))
        .map(([id, title]) => (
          <Tick
            key={id}
            name={nameOf(title)}
            isOn={false}
            onChange={() => onChange([...chosen, id])}
            testID={`${testID}-${id}`}
          >
            <Txt tone="faded">{title}</Txt>
          </Tick>
        ))}
    </View>
  );
}

interface DragLineProps {
  readonly onDrag: () => void;
  readonly onDrop: () => void;
  readonly children: ReactNode;
}

/** A line that can be taken to another place by the mouse; fingers and keys have the arrows. */
function DragLine({ onDrag, onDrop, children }: DragLineProps) {
  return (
    <div
      draggable
      onDragStart={onDrag}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        onDrop();
      }}
      style={{ display: 'flex', alignItems: 'center' }}
    >
      {children}
    </div>
  );
}
