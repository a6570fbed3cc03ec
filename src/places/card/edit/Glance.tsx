import { useDeferredValue } from 'react';
import { type UseFormReturn, useWatch } from 'react-hook-form';
import { View } from 'react-native';

import { selectSettings, useAppSelector } from '@/book/state';
import { type Card, type CardForm, cardValues, fromForm } from '@/core/card';
import { localDay, LOCALE, timeIn } from '@/platform';

import { Brief } from '../parts/Brief';
import { ValueRows } from '../parts/ValueRows';

interface GlanceProps {
  readonly base: Card;
  readonly form: UseFormReturn<CardForm>;
}

/** The card as it will look, while it is being typed. */
export function Glance({ base, form }: GlanceProps) {
  const { country } = useAppSelector(selectSettings);
  const values = useDeferredValue(useWatch({ control: form.control }) as CardForm);
  const card = fromForm(base, values, { locale: LOCALE });
  const typed = new Map(values.relations.map(({ id, text }) => [id, text]));
  const nameOf = (uid: string) => typed.get(uid);
  const groups = cardValues(card, { country, locale: LOCALE, today: localDay(), nameOf, timeIn });
  return (
    <View testID="card-glance">
      <Brief card={card} isAside />
      <View className="px-5">
        <ValueRows card={card} groups={groups} isStill />
      </View>
    </View>
  );
}
