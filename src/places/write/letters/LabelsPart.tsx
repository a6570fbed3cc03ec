import { useState } from 'react';
import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import {
  LABEL_SHEETS,
  labelsAsPage,
  type LabelSheet,
  labelSheetSchema,
  type Letter,
  sheetProblem,
} from '@/core/write';
import { printPage } from '@/platform';
import { texts } from '@/texts/write/letters';
import { Choice, Field, NextAct, Printer, Txt } from '@/ui';

import { SheetPicture } from './SheetPicture';

/** Which sheet, from which place on, and printing it. */
export function LabelsPart({ letters }: { readonly letters: readonly Letter[] }) {
  const { sheet, take } = useSheet();
  const [start, setStart] = useState(1);
  const [isTyped, setTyped] = useState(false);
  const each = sheet.columns * sheet.rows;
  const problem = sheetProblem(sheet);
  const first = Math.min(Math.max(1, start), each);
  const sheets = Math.ceil((first - 1 + letters.length) / each);
  const known = LABEL_SHEETS.find(([, one]) => JSON.stringify(one) === JSON.stringify(sheet))?.[0];
  return (
    <View className="gap-4" testID="labels">
      <Choice
        name={texts.sheet}
        options={[...LABEL_SHEETS.map(([name]) => [name, name] as const), ['', texts.customSize] as const]}
        value={isTyped ? '' : (known ?? '')}
        onChange={(name) => {
          const chosen = LABEL_SHEETS.find(([one]) => one === name)?.[1];
          setTyped(chosen === undefined);
          if (chosen) take(chosen);
        }}
      />
      {isTyped || known === undefined ? <Sizes sheet={sheet} take={take} /> : null}
      <SheetPicture sheet={sheet} start={first} count={letters.length} />
      <View className="w-[200px]">
        <Field
          label={texts.startAtLabel1(each)}
          value={start === 0 ? '' : String(start)}
          onChange={(text) => setStart(Number(text.replace(/\D/g, '').slice(0, 3)))}
          kind="tel"
          testID="label-start"
        />
      </View>
      {problem === undefined ? (
        <Txt size="small" tone="faded" isFigures>
          {texts.sheetsPrintAtFull(Math.max(0, sheets))}
        </Txt>
      ) : (
        <Txt tone="brick">{problem}</Txt>
      )}
      <NextAct
        label={texts.printLabels(letters.length)}
        icon={Printer}
        isDisabled={letters.length === 0 || problem !== undefined}
        onPress={() => printPage(labelsAsPage(letters, sheet, first))}
        testID="print-labels"
      />
    </View>
  );
}

function useSheet() {
  const dispatch = useAppDispatch();
  const { labelSheet } = useAppSelector(selectSettings);
  const [, usual] = LABEL_SHEETS[0] ?? [];
  const sheet = labelSheetSchema.safeParse(labelSheet).data ?? usual;
  if (!sheet) throw new Error('there is no sheet of labels');
  return {
    sheet,
    take: (next: LabelSheet) =>
      void dispatch(changeSettingsUndoably(texts.sheetOfLabels, { labelSheet: next })),
  };
}

/** What can be typed of a sheet, with our words for it. */
const SIZES: readonly (readonly [keyof LabelSheet, string])[] = [
  ['paperWidth', texts.paperWidth],
  ['paperHeight', texts.paperHeight],
  ['columns', texts.labelsInRow],
  ['rows', texts.rows],
  ['labelWidth', texts.labelWidth],
  ['labelHeight', texts.labelHeight],
  ['left', texts.fromLeftEdge],
  ['top', texts.fromTopEdge],
  ['gapX', texts.betweenTwoSideBySide],
  ['gapY', texts.betweenTwoRows],
];

interface SizesProps {
  readonly sheet: LabelSheet;
  readonly take: (sheet: LabelSheet) => void;
}

function Sizes({ sheet, take }: SizesProps) {
  return (
    <View className="gap-2">
      <Txt size="small" tone="faded">
        {texts.inMillimetres}
      </Txt>
      <View className="flex-row flex-wrap gap-x-4 gap-y-3">
        {SIZES.map(([key, label]) => (
          <View key={key} className="w-[150px]">
            <SizeField
              label={label}
              value={sheet[key]}
              isGood={(value) => labelSheetSchema.safeParse({ ...sheet, [key]: value }).success}
              onChange={(value) => take({ ...sheet, [key]: value })}
            />
          </View>
        ))}
      </View>
    </View>
  );
}

interface SizeFieldProps {
  readonly label: string;
  readonly value: number;
  readonly isGood: (value: number) => boolean;
  readonly onChange: (value: number) => void;
}

/** A number as it is typed: "38," is on its way to 38,1, and only what can be is taken. */
function SizeField({ label, value, isGood, onChange }: SizeFieldProps) {
  const [typed, setTyped] = useState<string>();
  const read = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));
  const isWrong = typed !== undefined && !isGood(read(typed));
  return (
    <Field
      label={label}
      value={typed ?? String(value)}
      onChange={(text) => {
        setTyped(text);
        if (isGood(read(text))) onChange(read(text));
      }}
      onBlur={() => (isWrong ? undefined : setTyped(undefined))}
      error={isWrong ? texts.theseSizesAreNotPossible : undefined}
      testID={`size-${label}`}
    />
  );
}
