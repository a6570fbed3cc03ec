import { useRef, useState } from 'react';
import { TextInput, View } from 'react-native';

import { type EditedText, editText, piecesIn, type Selection, type TextPiece } from '@/core/write';
import { nextFrame } from '@/platform';
import { texts } from '@/texts/write/write';
import { Act, Field, Plus, Txt, useColours } from '@/ui';

import { FieldSheet } from './FieldSheet';

interface PieceFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  /** Labels of fields that the user has made. */
  readonly labels: readonly string[];
  readonly isLong?: boolean;
  readonly testID: string;
}

/** A text in which fields are chosen from a list and stand as pieces that can't be broken. */
export function PieceField({ label, value, onChange, labels, isLong = false, testID }: PieceFieldProps) {
  const [isChoosing, setChoosing] = useState(false);
  const input = useRef<TextInput>(null);
  // Where the caret was when the list was opened; at the end where the text was never entered.
  const selection = useRef<Selection>(undefined);
  const take = (edited: EditedText) => {
    onChange(edited.text);
    selection.current = { start: edited.caret, end: edited.caret };
    void nextFrame().then(() => placeCaret(input.current, edited.caret));
  };
  const change = (after: string) => {
    const edited = editText(value, after, { labels });
    if (edited.text === after) onChange(after);
    else take(edited);
  };
  const select = (now: Selection) => {
    selection.current = now;
  };
  const end = { start: value.length, end: value.length };
  return (
    <View>
      {isLong ? (
        <LongText {...{ label, value, labels, testID, select, change, input }} />
      ) : (
        <Field ref={input} label={label} value={value} onChange={change} onSelect={select} testID={testID} />
      )}
      <View className="flex-row">
        <Act
          label={texts.insertField}
          name={texts.insertFieldInto(label)}
          icon={Plus}
          tone="faded"
          onPress={() => setChoosing(true)}
          testID={`${testID}-fields`}
        />
      </View>
      {isChoosing ? (
        <FieldSheet
          labels={labels}
          onChoose={(put) => {
            setChoosing(false);
            take(put(value, selection.current ?? end));
          }}
          onClose={() => setChoosing(false)}
        />
      ) : null}
    </View>
  );
}

interface LongTextProps extends Pick<PieceFieldProps, 'label' | 'value' | 'labels' | 'testID'> {
  readonly select: (now: Selection) => void;
  readonly change: (after: string) => void;
  readonly input: React.RefObject<TextInput | null>;
}

/** Classes that the text and what is drawn over it share, so that they lie on each other. */
const TYPE = 'py-2 font-sans text-strong leading-[24px]';

/** Lines to type in; over them the same text is drawn, with its pieces as such. */
function LongText({ label, value, labels, testID, select, change, input }: LongTextProps) {
  const { ink } = useColours();
  const drawn = useRef<HTMLDivElement>(null);
  return (
    <View>
      <Txt size="small" tone="faded">
        {label}
      </Txt>
      <View className="relative">
        <TextInput
          ref={input}
          aria-label={label}
          value={value}
          onChangeText={change}
          onSelectionChange={({ nativeEvent }) => select(nativeEvent.selection)}
          onScroll={({ nativeEvent }) => {
            if (drawn.current) drawn.current.scrollTop = nativeEvent.contentOffset.y;
          }}
          multiline
          {...{ rows: Math.min(14, Math.max(4, value.split('\n').length + 1)) }}
          spellCheck
          autoCorrect={false}
          testID={testID}
          style={{ caretColor: ink } as object}
          className={`border-b border-rule bg-transparent text-transparent outline-none focus:border-b-2 focus:border-berry ${TYPE}`}
        />
        <div
          ref={drawn}
          aria-hidden
          // Each paragraph runs its own way, as it does in the field.
          dir="auto"
          style={{ unicodeBidi: 'plaintext' }}
          className={`pointer-events-none absolute inset-0 overflow-hidden whitespace-pre-wrap break-words text-ink ${TYPE}`}
        >
          {stretchesOf(value, labels).map(({ text, piece }, i) =>
            piece ? (
              <span
                key={i}
                className={`rounded-[3px] bg-leaf ${piece.kind === 'field' ? 'text-berry' : 'text-moss'}`}
              >
                <span className="opacity-40">{'{'}</span>
                {text.slice(1, -1)}
                <span className="opacity-40">{'}'}</span>
              </span>
            ) : (
              <span key={i}>{text}</span>
            ),
          )}
        </div>
      </View>
    </View>
  );
}

/** The text piece by piece, with what is between them. */
function stretchesOf(value: string, labels: readonly string[]) {
  const stretches: { readonly text: string; readonly piece?: TextPiece }[] = [];
  let at = 0;
  for (const piece of piecesIn(value, { labels })) {
    stretches.push({ text: value.slice(at, piece.from) }, { text: value.slice(piece.from, piece.to), piece });
    at = piece.to;
  }
  return [...stretches, { text: value.slice(at) }];
}

/** On the web the field is the element itself. */
function placeCaret(field: unknown, caret: number): void {
  if (!(field instanceof HTMLTextAreaElement || field instanceof HTMLInputElement)) return;
  field.focus();
  field.setSelectionRange(caret, caret);
}
