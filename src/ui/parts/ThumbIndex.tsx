import { Pressable, View } from 'react-native';

import { Txt } from './Txt';

interface ThumbIndexProps {
  /** The letters that occur, with how many rows stand under each. */
  readonly letters: readonly { readonly letter: string; readonly count: number }[];
  readonly onPress: (index: number) => void;
}

/** Rows under a letter weigh by their root: a letter with a hundred names is not a hundred times as tall. */
const weigh = (count: number) => Math.sqrt(count) + 0.8;

/** The letters that really occur, each as tall as its share of the book. */
export function ThumbIndex({ letters, onPress }: ThumbIndexProps) {
  return (
    <View role="navigation" aria-label="Letters" className="w-[30px] border-l border-rule">
      {letters.map(({ letter, count }, index) => (
        <Pressable
          key={letter}
          role="button"
          // The letters are reached by arrow keys in the list; as tab stops they would stand in the way.
          tabIndex={-1}
          aria-label={`${letter}, ${count}`}
          onPress={() => onPress(index)}
          style={{ flexGrow: weigh(count), flexBasis: 0, minHeight: 0 }}
          className="items-center justify-center overflow-hidden border-b border-rule active:bg-leaf hover:bg-leaf"
        >
          <Txt size="small" tone="faded" className="leading-none">
            {letter}
          </Txt>
        </Pressable>
      ))}
    </View>
  );
}
