import { useRef, useState } from 'react';
import { Pressable, View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { useTypeScale } from '../theme/ThemeProvider';
import { fitLetters, type LetterCount } from './fitLetters';
import { Txt } from './Txt';

interface ThumbIndexProps {
  /** The letters that occur, in the order of the list. */
  readonly letters: readonly LetterCount[];
  /** Told the place of a letter among `letters`. */
  readonly onPress: (index: number) => void;
}

/** Height in px below which a letter would be cut. */
const MIN_CELL = 17;

/** Width in px: a run of two letters and the dash between them. */
const WIDTH = 34;

/** Rows under a letter weigh by their root: a letter with a hundred names is not a hundred times as tall. */
const weigh = (count: number) => Math.sqrt(count) + 0.8;

/** A slide along the letters is not the page's to scroll by. */
const NO_SCROLLING = { touchAction: 'none' } as object;

/** The letter's place under a point of the page; undefined beside them. */
function letterAt(x: number, y: number): number | undefined {
  const cell = document.elementFromPoint(x, y)?.closest('[data-letter]');
  return cell ? Number(cell.getAttribute('data-letter')) : undefined;
}

/** The letters that really occur, each as tall as its share of the book; where room is short, neighbours share. */
export function ThumbIndex({ letters, onPress }: ThumbIndexProps) {
  const [height, setHeight] = useState(0);
  const scale = useTypeScale();
  const minCell = MIN_CELL * scale;
  const cells = fitLetters(letters, Math.floor(height / minCell));
  const last = useRef<number>(undefined);
  const slide = ({ buttons, clientX, clientY }: Pick<PointerEvent, 'buttons' | 'clientX' | 'clientY'>) => {
    if (buttons !== 1) return;
    const index = letterAt(clientX, clientY);
    if (index === undefined || index === last.current) return;
    last.current = index;
    onPress(index);
  };
  return (
    <View
      role="navigation"
      aria-label={texts.letters}
      onLayout={({ nativeEvent }) => setHeight(nativeEvent.layout.height)}
      // A finger that slides along goes through the letters.
      {...({ onPointerMove: slide } as object)}
      style={[{ width: WIDTH * scale }, NO_SCROLLING]}
      className="border-l border-rule"
    >
      {height === 0
        ? null
        : cells.map(({ label, count, index }) => (
            <Pressable
              key={index}
              role="button"
              // Rows are reached by arrow keys; two dozen more tab stops would stand in the way.
              tabIndex={-1}
              aria-label={`${label}, ${count}`}
              {...({ dataSet: { letter: index } } as object)}
              onPress={() => onPress(index)}
              style={{ flexGrow: weigh(count), flexBasis: 0, minHeight: minCell }}
              className="items-center justify-center overflow-hidden border-b border-rule hover:bg-leaf active:bg-leaf"
            >
              <Txt size="small" tone="faded" className="leading-none">
                {label}
              </Txt>
            </Pressable>
          ))}
    </View>
  );
}
