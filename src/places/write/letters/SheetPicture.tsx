import { View } from 'react-native';

import { type LabelSheet, placeLabels } from '@/core/write';
import { texts } from '@/texts/write/letters';

interface SheetPictureProps {
  readonly sheet: LabelSheet;
  readonly start: number;
  /** Labels that are wanted. */
  readonly count: number;
}

/** Pixels of the picture's width. */
const WIDTH = 200;

/** The first sheet to scale; the places that are used are filled. */
export function SheetPicture({ sheet, start, count }: SheetPictureProps) {
  const scale = WIDTH / Math.max(1, sheet.paperWidth);
  const each = sheet.columns * sheet.rows;
  const used = Math.min(each, start - 1 + count);
  return (
    <View
      role="img"
      aria-label={texts.firstSheetPlacesToOfAreUsed(start, used, each)}
      className="border border-rule"
      style={{ width: WIDTH, height: sheet.paperHeight * scale }}
      testID="sheet-picture"
    >
      {placeLabels(sheet, each).map(({ x, y }, i) => (
        <View
          key={i}
          style={{
            ...{ position: 'absolute', left: x * scale, top: y * scale },
            ...{ width: sheet.labelWidth * scale - 1, height: sheet.labelHeight * scale - 1 },
          }}
          className={`rounded-[2px] border border-rule ${i + 1 >= start && i < used ? 'bg-rule' : ''}`}
        />
      ))}
    </View>
  );
}
