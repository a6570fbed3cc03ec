import { type FieldPath, useController, type UseFormReturn } from 'react-hook-form';

import type { CardForm } from '@/core/card';
import { Field } from '@/ui';

/** What every part of the editing page gets. */
export interface PartProps {
  readonly form: UseFormReturn<CardForm>;
  /** The collection whose first field gets the focus. */
  readonly at: string | undefined;
}

interface FormFieldProps extends Omit<
  React.ComponentProps<typeof Field>,
  'value' | 'onChange' | 'onBlur' | 'error'
> {
  readonly form: UseFormReturn<CardForm>;
  readonly name: FieldPath<CardForm>;
}

/** A field of the form by its name; its error stands under it. */
export function FormField({ form, name, ...field }: FormFieldProps) {
  const { field: control, fieldState } = useController({ control: form.control, name });
  const { ref, value, onChange, onBlur } = control;
  return (
    <Field
      {...field}
      ref={ref}
      value={typeof value === 'string' ? value : ''}
      onChange={onChange}
      onBlur={onBlur}
      error={fieldState.error?.message}
    />
  );
}
