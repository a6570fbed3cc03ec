import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { Field } from '@/ui';

/** How messages to many are written. */
export function WritingPart() {
  const dispatch = useAppDispatch();
  const { bccFrom } = useAppSelector(selectSettings);
  return (
    <Field
      label="Offer Bcc from this many people"
      value={String(bccFrom)}
      onChange={(text) => {
        const count = Number(text.replace(/\D/g, '')) || 2;
        dispatch(
          changeSettingsUndoably('From how many on Bcc is offered', {
            bccFrom: Math.min(1000, Math.max(2, count)),
          }),
        );
      }}
      kind="tel"
      hint="So that they don’t see each other’s addresses"
      testID="bcc-from"
    />
  );
}
