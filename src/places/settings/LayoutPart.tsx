import { useState } from 'react';
import { View } from 'react-native';

import { changeSettings, selectSettings, useAppDispatch, useAppSelector } from '@/book';
import { DEFAULT_LAYOUT, FORM_PARTS, type FormPartId } from '@/core/layout';
import { Act, ArrowDown, ArrowUp, Tick, Txt } from '@/ui';

/** Which empty fields a new card offers at once, and in which order. */
export function LayoutPart() {
  const dispatch = useAppDispatch();
  const { cardLayout } = useAppSelector(selectSettings);
  const [dragged, setDragged] = useState<FormPartId>();
  const known = FORM_PARTS.map(({ id }) => id as FormPartId);
  const chosen = known.filter((id) => cardLayout.includes(id));
  const layout: readonly FormPartId[] =
    chosen.length === 0
      ? DEFAULT_LAYOUT
      : [...chosen].sort((a, b) => cardLayout.indexOf(a) - cardLayout.indexOf(b));
  const set = (next: readonly FormPartId[]) => dispatch(changeSettings({ cardLayout: [...next] }));
  const moveTo = (id: FormPartId, place: number) => {
    const others = layout.filter((one) => one !== id);
    set([...others.slice(0, place), id, ...others.slice(place)]);
  };
  const titleOf = (id: FormPartId) => FORM_PARTS.find((part) => part.id === id)?.title ?? id;
  return (
    <View>
      <Txt size="small" tone="faded">
        What a new card offers at once, in this order; drag a line, or move it with its arrows. The rest is
        one press away, and what a card says is always shown.
      </Txt>
      {layout.map((id, at) => (
        <DragLine key={id} onDrag={() => setDragged(id)} onDrop={() => dragged && moveTo(dragged, at)}>
          <View className="min-w-0 flex-1">
            <Tick
              name={`${titleOf(id)} is offered at once`}
              isOn
              onChange={() => (layout.length > 1 ? set(layout.filter((one) => one !== id)) : undefined)}
              testID={`layout-${id}`}
            >
              <Txt>{titleOf(id)}</Txt>
            </Tick>
          </View>
          <Act
            label={`Move ${titleOf(id)} up`}
            icon={ArrowUp}
            iconOnly
            tone="faded"
            isDisabled={at === 0}
            onPress={() => moveTo(id, at - 1)}
            testID={`layout-up-${id}`}
          />
          <Act
            label={`Move ${titleOf(id)} down`}
            icon={ArrowDown}
            iconOnly
            tone="faded"
            isDisabled={at === layout.length - 1}
            onPress={() => moveTo(id, at + 1)}
          />
        </DragLine>
      ))}
      {known
        .filter((id) => !layout.includes(id))
        .map((id) => (
          <Tick
            key={id}
            name={`${titleOf(id)} is offered at once`}
            isOn={false}
            onChange={() => set([...layout, id])}
            testID={`layout-${id}`}
          >
            <Txt tone="faded">{titleOf(id)}</Txt>
          </Tick>
        ))}
      {chosen.length === 0 ? null : (
        <View className="flex-row">
          <Act label="As it was at first" onPress={() => set([])} />
        </View>
      )}
    </View>
  );
}

interface DragLineProps {
  readonly onDrag: () => void;
  readonly onDrop: () => void;
  readonly children: React.ReactNode;
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
