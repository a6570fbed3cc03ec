import { useState } from 'react';
import { Pressable, View } from 'react-native';

import type { ExtractResult } from '@/book/clients';
import type { SpanCorrection, SpanField, TextPiece } from '@/core/extract';
import { texts } from '@/texts/extract/extract';
import { Act, Sheet, Txt } from '@/ui';

import { FIELD_WORDS } from './fieldWords';

interface MarkedTextProps {
  readonly extracted: ExtractResult;
  readonly canUndo: boolean;
  readonly onCorrect: (correction: SpanCorrection) => void;
  readonly onUndo: () => void;
}

/** The text with what was recognised written under it; pressing a word says what it is. */
export function MarkedText({ extracted, canUndo, onCorrect, onUndo }: MarkedTextProps) {
  const [pressed, setPressed] = useState<TextPiece>();
  const say = (field: SpanField | undefined) => {
    if (pressed) onCorrect({ start: pressed.start, end: pressed.end, field });
    setPressed(undefined);
  };
  return (
    <View className="gap-2" testID="marked-text">
      <View className="flex-row flex-wrap items-center justify-between gap-x-4">
        <Txt font="serif" size="title" heading={2}>
          {texts.whatWasRecognised}
        </Txt>
        {canUndo ? <Act label={texts.undo} tone="faded" onPress={onUndo} testID="extract-undo" /> : null}
      </View>
      <Txt size="small" tone="faded">
        {texts.pressWordToSay}
      </Txt>
      <View className="gap-y-1">
        {extracted.lines.map((pieces) => (
          <View key={pieces[0]?.start} className="flex-row flex-wrap gap-x-1 gap-y-1">
            {pieces.map((piece) => (
              <Piece key={piece.start} piece={piece} onPress={() => setPressed(piece)} />
            ))}
          </View>
        ))}
      </View>
      <Sheet title={pressed?.text ?? ''} isOpen={pressed !== undefined} onClose={() => setPressed(undefined)}>
        <View className="flex-row flex-wrap gap-x-5">
          {(Object.keys(FIELD_WORDS) as SpanField[]).map((field) => (
            <Act
              key={field}
              label={FIELD_WORDS[field]}
              tone={pressed?.field === field ? 'ink' : 'berry'}
              onPress={() => say(field)}
              testID={`say-${field}`}
            />
          ))}
          <Act label={texts.notPartOfCard} tone="faded" onPress={() => say(undefined)} testID="say-nothing" />
        </View>
      </Sheet>
    </View>
  );
}

function Piece({
  piece: { text, field },
  onPress,
}: {
  readonly piece: TextPiece;
  readonly onPress: () => void;
}) {
  const word = field ? FIELD_WORDS[field] : undefined;
  return (
    <Pressable
      role="button"
      aria-label={word ? `${text}: ${word}` : text}
      onPress={onPress}
      className={`min-h-[44px] min-w-[28px] max-w-full justify-center ${field ? 'border-b-2 border-moss bg-leaf px-1' : ''}`}
      testID={field ? `mark-${field}` : 'unmarked'}
    >
      <Txt tone={field ? 'ink' : 'faded'}>{text}</Txt>
      {word ? (
        <Txt size="small" tone="moss">
          {word}
        </Txt>
      ) : null}
    </Pressable>
  );
}
