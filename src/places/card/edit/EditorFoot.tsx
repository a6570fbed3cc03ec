import { View } from 'react-native';

import { texts } from '@/texts/card/edit';
import { Act, Eye, NextAct, useWide } from '@/ui';

interface EditorFootProps {
  readonly save: () => void;
  readonly saveAndNext: () => void;
  readonly close: () => void;
  readonly isDirty: boolean;
  readonly isSubmitting: boolean;
  /** Whether another card can be written after this one. */
  readonly canGoOn: boolean;
  /** Shows the card as it will look; missing where it stands beside the form. */
  readonly onGlance?: () => void;
}

/** The acts of the editing page, always within reach. */
export function EditorFoot(props: EditorFootProps) {
  const { isWide } = useWide();
  const { save, saveAndNext, close, isDirty, isSubmitting, canGoOn, onGlance } = props;
  return (
    <View
      // The first act gives way, and what still doesn't fit stands on a second line: no width may hide an act.
      className={`flex-row flex-wrap items-center border-t border-rule bg-paper py-2 ${isWide ? 'gap-x-4 px-6' : 'gap-x-3 px-5'}`}
    >
      <View className={isWide ? 'min-w-[72px] max-w-[160px] flex-1' : 'min-w-[72px] flex-1'}>
        <NextAct label={texts.save} onPress={save} isDisabled={isSubmitting} testID="save-card" />
      </View>
      {canGoOn ? (
        <Act
          // Short, as four acts stand beside each other on a phone and in the column of a narrow wide screen.
          label={texts.addAnother}
          name={texts.saveAndAddAnother}
          onPress={saveAndNext}
          isDisabled={isSubmitting}
          testID="save-and-next"
        />
      ) : null}
      {onGlance ? (
        <Act
          label={texts.preview}
          name={texts.previewCard}
          icon={Eye}
          iconOnly={!isWide}
          onPress={onGlance}
          testID="glance"
        />
      ) : null}
      <Act label={isDirty ? texts.discard : texts.close} tone="faded" onPress={close} testID="close-editor" />
    </View>
  );
}
