import { type ReactNode, useEffect } from 'react';
import { type ArrayPath, type FieldArray, useFieldArray } from 'react-hook-form';
import { View } from 'react-native';

import type { CardForm } from '@/core/card';
import { texts } from '@/texts/card/edit';
import { Act, Plus, Txt, X } from '@/ui';

import type { PartProps } from './FormField';

interface RowsProps<N extends ArrayPath<CardForm>> extends PartProps {
  readonly name: N;
  readonly title: string;
  /** One of them, for the words of the acts: "phone". */
  readonly noun: string;
  /** A row as it begins; its id is given here. */
  readonly blank: Omit<CardForm[N][number], 'id'>;
  readonly row: (index: number, isFirst: boolean) => ReactNode;
}

/** The entries of a collection, each with a way to take it off, and a way to add one. */
export function Rows<N extends ArrayPath<CardForm>>({
  form,
  at,
  name,
  title,
  noun,
  blank,
  row,
}: RowsProps<N>) {
  // Entries have ids of their own, so the list's must go by another name.
  const { fields, append, remove } = useFieldArray({ control: form.control, name, keyName: 'rowKey' });
  const add = () => append({ ...blank, id: `new-${fields.length}-${Date.now()}` } as FieldArray<CardForm, N>);
  // A part that was asked for begins with a row to type in.
  const isAskedFor = at === name && fields.length === 0;
  useEffect(() => {
    if (isAskedFor) add();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when the part appears
  }, []);
  const isEmpty = fields.length === 0;
  return (
    <View testID={`rows-${name}`}>
      <View className="flex-row items-center justify-between">
        {isEmpty ? null : (
          <Txt size="small" font="sansBold" heading={2}>
            {title}
          </Txt>
        )}
        {/* Beside the heading of what there is; as words where there is nothing yet. */}
        <Act
          label={texts.add(noun)}
          icon={Plus}
          iconOnly={!isEmpty}
          tone={isEmpty ? 'faded' : 'berry'}
          onPress={add}
          testID={`add-${name}`}
        />
      </View>
      {fields.map(({ rowKey }, index) => (
        <View key={rowKey} className="flex-row items-start gap-1">
          <View className="min-w-0 flex-1">{row(index, index === 0 && at === name)}</View>
          <Act
            label={texts.removeNamed(noun, index + 1)}
            icon={X}
            iconOnly
            tone="faded"
            onPress={() => remove(index)}
          />
        </View>
      ))}
    </View>
  );
}
