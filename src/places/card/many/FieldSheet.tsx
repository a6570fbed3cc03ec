import { useState } from 'react';
import { View } from 'react-native';

import { findCountryCode } from '@/core/base';
import { FILL_FIELDS, type FillField, fillIn } from '@/core/card';
import { LOCALE } from '@/platform';
import { Choice, Field, NextAct, Sheet, Switch } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';

const LABELS: Readonly<Record<FillField, string>> = {
  organisation: 'Organisation',
  department: 'Department',
  post: 'Post',
  languages: 'Languages',
  timeZone: 'Time zone',
  own: 'A custom field',
};

/** Fills one field in on all of the chosen. */
export function FieldSheet({ cards, onSheet, onChange }: ManySheetProps) {
  const [field, setField] = useState<FillField>('organisation');
  const [label, setLabel] = useState('');
  const [value, setValue] = useState('');
  const [onlyWhereEmpty, setOnlyWhereEmpty] = useState(true);
  const count = nameCards(cards);
  const name = field === 'own' ? label.trim() : LABELS[field];
  const filling = { field, value: value.trim(), label: label.trim(), onlyWhereEmpty };
  const isReady = name !== '' && value.trim() !== '';
  const run = () => {
    onSheet(undefined);
    void onChange({
      cards,
      label: `Filled in ${name} on ${count}: ${value.trim()}`,
      change: (card) => fillIn(card, filling, { locale: LOCALE, findCountryCode }),
    });
  };
  return (
    <Sheet title={`Fill in on ${count}`} isOpen onClose={() => onSheet(undefined)}>
      <View className="gap-3">
        <Choice
          name="Which field"
          options={FILL_FIELDS.map((one) => [one, LABELS[one]] as const)}
          value={field}
          onChange={setField}
        />
        {field === 'own' ? (
          <Field label="Its name" value={label} onChange={setLabel} testID="fill-label" />
        ) : null}
        <Field label="Value" value={value} onChange={setValue} testID="fill-value" />
        <Switch
          label="Only where it is empty"
          hint="Values that are there stay"
          isOn={onlyWhereEmpty}
          onChange={setOnlyWhereEmpty}
        />
        <NextAct label={`Fill in ${name}`} isDisabled={!isReady} onPress={run} testID="run-fill" />
      </View>
    </Sheet>
  );
}
