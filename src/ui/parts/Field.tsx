import { forwardRef, useId } from 'react';
import { TextInput, View } from 'react-native';

import { pressNext } from './pressNext';
import { Txt } from './Txt';

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly onBlur?: () => void;
  /** Enter in a field of one line; the focus stays. Without it the next act of the sheet is done. */
  readonly onEnter?: () => void;
  /** Where the caret is, or what is selected. */
  readonly onSelect?: (selection: { readonly start: number; readonly end: number }) => void;
  readonly error?: string | undefined;
  /** Said under the field where there is no error. */
  readonly hint?: string | undefined;
  readonly placeholder?: string;
  readonly kind?: 'text' | 'tel' | 'email' | 'url';
  readonly isLong?: boolean;
  /** Said to screen readers only; the label then takes no room. */
  readonly isLabelHidden?: boolean;
  readonly isFirst?: boolean;
  /** What is typed is not shown. */
  readonly isSecret?: boolean;
  readonly testID?: string;
}

/** A labelled line to type in; its error stands under it and is read out with it. */
export const Field = forwardRef<TextInput, FieldProps>(function Field(props, ref) {
  const { label, value, onChange, error, hint, kind = 'text', isLong = false, isLabelHidden = false } = props;
  const noteId = useId();
  const note = error ?? hint;
  return (
    <View className="min-w-0">
      {isLabelHidden ? null : (
        <Txt size="small" tone="faded">
          {label}
        </Txt>
      )}
      <TextInput
        ref={ref}
        aria-label={label}
        {...(note === undefined ? {} : { 'aria-describedby': noteId })}
        {...(error === undefined ? {} : { 'aria-invalid': true })}
        value={value}
        onChangeText={onChange}
        {...(props.onBlur ? { onBlur: props.onBlur } : {})}
        {...(isLong
          ? {}
          : { onSubmitEditing: props.onEnter ?? (({ target }) => pressNext(target)), blurOnSubmit: false })}
        {...(props.placeholder === undefined ? {} : { placeholder: props.placeholder })}
        {...(props.onSelect
          ? { onSelectionChange: ({ nativeEvent }) => props.onSelect?.(nativeEvent.selection) }
          : {})}
        inputMode={kind}
        {...(isLong ? {} : { enterKeyHint: props.onEnter ? 'done' : 'next' })}
        autoCapitalize={kind === 'text' ? 'sentences' : 'none'}
        autoCorrect={false}
        spellCheck={isLong}
        autoFocus={props.isFirst ?? false}
        secureTextEntry={props.isSecret ?? false}
        multiline={isLong}
        {...(isLong ? { rows: Math.min(10, Math.max(2, value.split('\n').length)) } : {})}
        {...(props.testID === undefined ? {} : { testID: props.testID })}
        className={`min-h-[44px] border-b bg-transparent py-2 font-sans text-strong text-ink outline-none ${
          error === undefined ? 'border-rule focus:border-b-2 focus:border-berry' : 'border-b-2 border-brick'
        }`}
      />
      {note === undefined ? null : (
        <View className="pt-1">
          <Txt size="small" tone={error === undefined ? 'faded' : 'brick'} nativeID={noteId}>
            {note}
          </Txt>
        </View>
      )}
    </View>
  );
});
