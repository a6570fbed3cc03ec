import { useState } from 'react';
import { View } from 'react-native';

import { type Column, type FieldId, FIELDS, formatHeading, parseHeading } from '@/core/formats';
import { texts } from '@/texts/formats/formats';
import { Act, Choice, Field, Sheet, Txt } from '@/ui';

/** Groups of the list, in the order in which people think of a card. */
const PARTS = [...new Set(FIELDS.map(({ part }) => part))];

interface ColumnSheetProps {
  readonly heading: string;
  readonly value: string;
  readonly onChange: (heading: string) => void;
  readonly onClose: () => void;
}

/** What one column of a table says, chosen out of all that a card holds. */
export function ColumnSheet({ heading, value, onChange, onClose }: ColumnSheetProps) {
  const column = parseHeading(value) ?? { field: 'none', label: '', number: 1 };
  const [label, setLabel] = useState(column.label);
  const isMany = FIELDS.find(({ id }) => id === column.field)?.many === true;
  const choose = (field: FieldId) => {
    const keeps = FIELDS.find(({ id }) => id === field)?.many === true;
    // A custom field takes its name from the column it comes from.
    const next: Column = {
      field,
      label: keeps ? (field === 'own' ? heading : label) : '',
      number: column.number,
    };
    onChange(formatHeading(next));
    if (!keeps) onClose();
  };
  return (
    <Sheet title={heading === '' ? texts.whatThisColumnSays : texts.is(heading)} isOpen onClose={onClose}>
      <View className="gap-4">
        {isMany ? (
          <View className="flex-row items-end gap-4">
            <View className="min-w-0 flex-1">
              <Field
                label={texts.itsLabelHomeWork}
                value={label}
                onChange={(text) => {
                  setLabel(text);
                  onChange(formatHeading({ ...column, label: text.trim() }));
                }}
              />
            </View>
            <Act label={texts.done} onPress={onClose} testID="column-done" />
          </View>
        ) : null}
        {PARTS.map((part) => (
          <View key={part}>
            <Txt size="small" font="sansBold" tone="faded" heading={3}>
              {part}
            </Txt>
            <Choice
              name={part}
              options={FIELDS.filter((field) => field.part === part).map(
                ({ id, heading: word }) => [id, word] as const,
              )}
              value={column.field as FieldId}
              onChange={choose}
            />
          </View>
        ))}
      </View>
    </Sheet>
  );
}
