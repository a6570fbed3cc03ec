import { useState } from 'react';
import { View } from 'react-native';

import { findCountryCode } from '@/core/base';
import { FILL_FIELDS, type FillField, fillIn } from '@/core/card';
import { LOCALE } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/many';
import { Choice, Field, NextAct, Sheet, Switch } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';

const LABELS: Readonly<Record<FillField, string>> = {
  organisation: texts.organisation,
  department: texts.department,
  post: texts.post,
  languages: texts.languages,
  timeZone: shared.timeZone,
  own: texts.customField,
};

/** Fills in one field on all selected cards. */
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
      label: texts.filledInOn(name, count, value.trim()),
      change: (card) => fillIn(card, filling, { locale: LOCALE, findCountryCode }),
    });
  };
  return (
    <Sheet title={texts.fillInOn(count)} isOpen onClose={() => onSheet(undefined)}>
      <View className="gap-3">
        <Choice
          name={texts.whichField}
          options={FILL_FIELDS.map((one) => [one, LABELS[one]] as const)}
          value={field}
          onChange={setField}
        />
        {field === 'own' ? (
          <Field label={texts.itsName} value={label} onChange={setLabel} testID="fill-label" />
        ) : null}
        <Field label={texts.value} value={value} onChange={setValue} testID="fill-value" />
        <Switch
          label={texts.onlyWhereItIsEmpty}
          hint={texts.valuesThatAreThereStay}
          isOn={onlyWhereEmpty}
          onChange={setOnlyWhereEmpty}
        />
        <NextAct label={texts.fillIn(name)} isDisabled={!isReady} onPress={run} testID="run-fill" />
      </View>
    </Sheet>
  );
}
