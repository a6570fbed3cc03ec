import { useState } from 'react';
import { Pressable, View } from 'react-native';

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

/** The letters that really occur, each as tall as its share of the book; where room is short, neighbours share. */
export function ThumbIndex({ letters, onPress }: ThumbIndexProps) {
  const [height, setHeight] = useState(0);
  const scale = useTypeScale();
  const minCell = MIN_CELL * scale;
  const cells = fitLetters(letters, Math.floor(height / minCell));
  return (
    <View
      role="navigation"
      aria-label="Letters"
      onLayout={({ nativeEvent }) => setHeight(nativeEvent.layout.height)}
      style={{ width: WIDTH * scale }}
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
