import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { type LabelSheet, placeLabels } from '@/core/letters';

interface SheetPictureProps {
  readonly sheet: LabelSheet;
  readonly start: number;
  /** Labels that are wanted. */
  readonly count: number;
  readonly onStart: (start: number) => void;
}

/** Pixels of the picture at most. */
const WIDTH = 240;

/** The first sheet to scale: the places that are used are filled; pressing one has the labels begin there. */
export function SheetPicture({ sheet, start, count, onStart }: SheetPictureProps) {
  const [focused, setFocused] = useState<number>();
  const scale = WIDTH / Math.max(1, sheet.paperWidth);
  const each = sheet.columns * sheet.rows;
  return (
    <View
      role="group"
      aria-label="The first sheet"
      className="border border-rule"
      style={{ width: WIDTH, height: sheet.paperHeight * scale }}
      testID="sheet-picture"
    >
      {placeLabels(sheet, each).map(({ x, y }, i) => {
        const isUsed = i + 1 >= start && i + 1 < start + count;
        return (
          <Pressable
            key={i}
            role="button"
            aria-label={`Begin at place ${i + 1} of ${each}`}
            aria-pressed={i + 1 === start}
            onPress={() => onStart(i + 1)}
            onFocus={() => setFocused(i)}
            onBlur={() => setFocused(undefined)}
            style={{
              ...{ position: 'absolute', left: x * scale, top: y * scale },
              ...{ width: sheet.labelWidth * scale - 1, height: sheet.labelHeight * scale - 1 },
            }}
            className={`rounded-[2px] border ${focused === i ? 'border-berry' : 'border-rule'} ${isUsed ? 'bg-rule' : ''}`}
          />
        );
      })}
    </View>
  );
}
