import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { texts } from '@/texts/settings/settings';
import { Field } from '@/ui';

/** How messages to many are written. */
export function WritingPart() {
  const dispatch = useAppDispatch();
  const { bccFrom } = useAppSelector(selectSettings);
  return (
    <Field
      label={texts.offerBccFromThisMany}
      value={String(bccFrom)}
      onChange={(text) => {
        const count = Number(text.replace(/\D/g, '')) || 2;
        dispatch(
          changeSettingsUndoably(texts.fromHowManyOnBcc, {
            bccFrom: Math.min(1000, Math.max(2, count)),
          }),
        );
      }}
      kind="tel"
      hint={texts.soThatTheyDont}
      testID="bcc-from"
    />
  );
}
