import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, type Settings, SORT_ORDERS, useAppDispatch, useAppSelector } from '@/book/state';
import type { SecondPart } from '@/core/card';
import { Choice, OrderedChoice, Switch, Txt } from '@/ui';

const NAME_ORDERS: readonly (readonly [Settings['nameOrder'], string])[] = [
  ['written', 'As each card has it'],
  ['givenFirst', 'Given name first: Ada Lowther'],
  ['surnameFirst', 'Surname first: Lowther, Ada'],
];

const NAME_LENGTHS: readonly (readonly [Settings['nameLength'], string])[] = [
  ['full', 'All of it: Dr Ada Mary Lowther'],
  ['plain', 'Without titles and further names: Ada Lowther'],
  ['initial', 'Given name as an initial: A. Lowther'],
];

const SECOND_PARTS: readonly (readonly [SecondPart, string])[] = [
  ['post', 'Post'],
  ['organisation', 'Organisation'],
  ['place', 'Place'],
  ['nickname', 'Nickname'],
  ['number', 'Number'],
  ['mail', 'Mail'],
  ['tags', 'Tags'],
];

/** How names are shown and put in order, and what stands under them. */
export function NamesPart() {
  const dispatch = useAppDispatch();
  const { nameOrder, nameLength, secondLine, sortBy, particlesCount } = useAppSelector(selectSettings);
  const set = (some: Partial<Settings>) => dispatch(changeSettingsUndoably('How names are shown', some));
  return (
    <View className="gap-3">
      <Titled title="Names shown">
        <Choice
          name="Names shown"
          options={NAME_ORDERS}
          value={nameOrder}
          onChange={(value) => set({ nameOrder: value })}
        />
      </Titled>
      <Titled title="How much of a name">
        <Choice
          name="How much of a name"
          options={NAME_LENGTHS}
          value={nameLength}
          onChange={(value) => set({ nameLength: value })}
        />
      </Titled>
      <Titled title="Sorted by">
        <Choice
          name="Sorted by"
          options={SORT_ORDERS}
          value={sortBy}
          onChange={(value) => set({ sortBy: value })}
        />
        <Switch
          label="Particles count"
          hint="“van Dijk” stands under V"
          isOn={particlesCount}
          onChange={(isOn) => set({ particlesCount: isOn })}
        />
      </Titled>
      <Titled title="Under a name">
        <OrderedChoice
          options={SECOND_PARTS}
          chosen={secondLine}
          onChange={(parts) => set({ secondLine: parts })}
          nameOf={(title) => `${title} stands under a name`}
          testID="second"
        />
      </Titled>
    </View>
  );
}

function Titled({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <View>
      <Txt size="small" tone="faded">
        {title}
      </Txt>
      {children}
    </View>
  );
}
