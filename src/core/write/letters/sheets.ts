import { z } from 'zod';

import { texts } from '@/texts/write/letters';

/** Up to so many millimetres of a sheet of labels; larger ones no printer takes. */
const MAX_MM = 1200;

const mm = z.number().min(0).max(MAX_MM);

/** A sheet of labels, in millimetres from its top left corner. */
export const labelSheetSchema = z.object({
  paperWidth: mm,
  paperHeight: mm,
  columns: z.number().int().min(1).max(20),
  rows: z.number().int().min(1).max(40),
  labelWidth: mm,
  labelHeight: mm,
  left: mm,
  top: mm,
  gapX: mm,
  gapY: mm,
});

/** A sheet of labels. */
export type LabelSheet = z.infer<typeof labelSheetSchema>;

const A4 = { paperWidth: 210, paperHeight: 297 };

/** Sheets that are sold everywhere (common practice), centred on the paper. */
export const LABEL_SHEETS: readonly (readonly [name: string, sheet: LabelSheet])[] = [
  [
    texts.from21OnA463,
    centred({ ...A4, columns: 3, rows: 7, labelWidth: 63.5, labelHeight: 38.1, gapX: 2.5 }),
  ],
  [texts.from24OnA470, centred({ ...A4, columns: 3, rows: 8, labelWidth: 70, labelHeight: 36, gapX: 0 })],
  [
    texts.from14OnA499,
    centred({ ...A4, columns: 2, rows: 7, labelWidth: 99.1, labelHeight: 38.1, gapX: 2.5 }),
  ],
  [
    texts.from8OnA499,
    centred({ ...A4, columns: 2, rows: 4, labelWidth: 99.1, labelHeight: 67.7, gapX: 2.5 }),
  ],
  [
    texts.from30OnUsLetter,
    centred({
      ...{ paperWidth: 215.9, paperHeight: 279.4, columns: 3, rows: 10 },
      ...{ labelWidth: 66.7, labelHeight: 25.4, gapX: 3.2 },
    }),
  ],
];

function centred(sheet: Omit<LabelSheet, 'left' | 'top' | 'gapY'>): LabelSheet {
  const width = sheet.columns * sheet.labelWidth + (sheet.columns - 1) * sheet.gapX;
  const round = (value: number) => Math.round(value * 100) / 100;
  return {
    ...{ ...sheet, gapY: 0 },
    left: round((sheet.paperWidth - width) / 2),
    top: round((sheet.paperHeight - sheet.rows * sheet.labelHeight) / 2),
  };
}

/** What is wrong with a sheet, in words for whoever typed it; undefined for nothing. */
export function sheetProblem(sheet: LabelSheet): string | undefined {
  const { columns, rows, labelWidth, labelHeight, left, top, gapX, gapY, paperWidth, paperHeight } = sheet;
  if (labelWidth < 10 || labelHeight < 8) return texts.labelHasToBe10;
  const right = left + columns * labelWidth + (columns - 1) * gapX;
  if (right > paperWidth + SLACK) return texts.labelsOverRightEdge(format(right - paperWidth));
  const bottom = top + rows * labelHeight + (rows - 1) * gapY;
  if (bottom > paperHeight + SLACK) return texts.labelsOverLowerEdge(format(bottom - paperHeight));
  return undefined;
}

/** Millimetres by which sizes that were rounded may overlap the edge. */
const SLACK = 0.2;

function format(value: number): string {
  return String(Math.round(value * 10) / 10);
}
