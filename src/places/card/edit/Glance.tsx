import { useDeferredValue } from 'react';
import { type UseFormReturn, useWatch } from 'react-hook-form';
import { View } from 'react-native';

import { selectSettings, useAppSelector } from '@/book';
import type { Card } from '@/core/card';
import { type CardForm, fromForm } from '@/core/editing';
import { cardValues } from '@/core/showing';
import { localDay, LOCALE, timeIn } from '@/platform';

import { Brief } from '../Brief';
import { ValueRows } from '../ValueRows';

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
