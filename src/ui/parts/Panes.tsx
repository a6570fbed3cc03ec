import { type KeyboardEvent, type PointerEvent, type ReactNode, useContext, useState } from 'react';
import { View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { PaneContext } from '../theme/paneContext';

/** px that an arrow key moves the edge by. */
const STEP = 16;
/** px that the page beside the list keeps. */
const REST = 420;

interface PanesProps {
  /** By which its width is remembered. */
  readonly name: string;
  /** px as designed. */
  readonly width: number;
  readonly min?: number;
  /** Undefined where the page has all the room. */
  readonly list: ReactNode | undefined;
  readonly children: ReactNode;
}

/** A list and, beside it, what is chosen; the edge between them is dragged, or moved by arrow keys, and remembered. */
export function Panes({ name, width: designed, min = 280, list, children }: PanesProps) {
  const { edge, setRoom } = useEdge({ name, designed, min, rest: REST });
  return (
    <View className="flex-1 flex-row" onLayout={({ nativeEvent }) => setRoom(nativeEvent.layout.width)}>
      {list === undefined ? null : (
        <>
          <View style={{ width: edge.value }} className="border-r border-rule">
            {list}
          </View>
          <Edge {...edge} />
        </>
      )}
      <View className="min-w-0 flex-1">{children}</View>
    </View>
  );
}

interface StackedProps extends Pick<PanesProps, 'name' | 'children'> {
  /** What stands above. */
  readonly top: ReactNode;
  /** px of it as designed, and at least. */
  readonly height: number;
  readonly min: number;
}

/** Two parts that share the height of a phone: the edge between them is dragged, or moved by arrow keys, and remembered. */
export function StackedPanes({ name, top, height: designed, min, children }: StackedProps) {
  const { edge, setRoom } = useEdge({ name, designed, min, rest: min });
  return (
    <View className="min-h-0 flex-1" onLayout={({ nativeEvent }) => setRoom(nativeEvent.layout.height)}>
      <View style={{ height: edge.value }}>{top}</View>
      <Edge {...edge} isStacked />
      <View className="min-h-0 flex-1">{children}</View>
    </View>
  );
}

interface EdgeWish {
  readonly name: string;
  /** px of the first part: as designed, and at least. */
  readonly designed: number;
  readonly min: number;
  /** px that the other part keeps. */
  readonly rest: number;
}

/** Where the edge between two parts is: as it was left, within what there is room for. */
function useEdge({ name, designed, min, rest }: EdgeWish) {
  const { widthOf, keep } = useContext(PaneContext);
  const [wanted, setWanted] = useState(widthOf(name) ?? designed);
  const [room, setRoom] = useState(Infinity);
  const max = Math.max(min, room - rest);
  const within = (wish: number) => Math.round(Math.min(max, Math.max(min, wish)));
  const edge: EdgeProps = {
    ...{ value: within(wanted), min, max },
    onMove: (wish) => {
      setWanted(within(wish));
      keep(name, within(wish));
    },
    onReset: () => {
      setWanted(designed);
      keep(name, undefined);
    },
  };
  return { edge, setRoom };
}

interface EdgeProps {
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly onMove: (width: number) => void;
  readonly onReset: () => void;
  /** It lies between what is above and below. */
  readonly isStacked?: boolean;
}

/** The edge itself (WAI-ARIA Authoring Practices, window splitter): wider to the hand than to the eye. */
function Edge({ value, min, max, onMove, onReset, isStacked = false }: EdgeProps) {
  const along = (event: PointerEvent) => (isStacked ? event.clientY : event.clientX);
  const [from, setFrom] = useState<number>();
  const grab = (event: PointerEvent<HTMLDivElement>) => {
    event.preventDefault();
    event.currentTarget.setPointerCapture(event.pointerId);
    setFrom(along(event) - value);
  };
  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (from !== undefined) onMove(along(event) - from);
  };
  const press = ({ key }: KeyboardEvent) => {
    const moves: Readonly<Record<string, () => void>> = {
      [isStacked ? 'ArrowUp' : 'ArrowLeft']: () => onMove(value - STEP),
      [isStacked ? 'ArrowDown' : 'ArrowRight']: () => onMove(value + STEP),
      Home: () => onMove(min),
      End: () => onMove(max),
      Enter: onReset,
    };
    moves[key]?.();
  };
  return (
    <div
      role="separator"
      aria-orientation={isStacked ? 'horizontal' : 'vertical'}
      aria-label={isStacked ? texts.heightOfTop : texts.widthOfList}
      aria-valuenow={value}
      aria-valuemin={min}
      aria-valuemax={Number.isFinite(max) ? Math.round(max) : value}
      tabIndex={0}
      onPointerDown={grab}
      onPointerMove={drag}
      onPointerUp={() => setFrom(undefined)}
      onPointerCancel={() => setFrom(undefined)}
      onDoubleClick={onReset}
      onKeyDown={press}
      className={`z-10 touch-none hover:bg-rule/40 focus-visible:bg-rule ${
        isStacked
          ? 'flex h-[28px] cursor-row-resize items-center justify-center border-y border-rule'
          : '-mx-[12px] w-[24px] cursor-col-resize'
      }`}
    >
      {isStacked ? <div className="h-[4px] w-[44px] rounded-[2px] bg-rule" /> : null}
    </div>
  );
}
