import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, type Settings, SORT_ORDERS, useAppDispatch, useAppSelector } from '@/book/state';
import type { SecondPart } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/settings/settings';
import { Choice, OrderedChoice, Switch, Txt } from '@/ui';

const NAME_ORDERS: readonly (readonly [Settings['nameOrder'], string])[] = [
  ['written', texts.asEachCardHasIt],
  ['givenFirst', texts.givenNameFirstAda],
  ['surnameFirst', texts.surnameFirstLowtherAda],
];

const NAME_LENGTHS: readonly (readonly [Settings['nameLength'], string])[] = [
  ['full', texts.allOfItDr],
  ['plain', texts.withoutTitlesAndFurther],
  ['initial', texts.givenNameAsInitial],
];

const SECOND_PARTS: readonly (readonly [SecondPart, string])[] = [
  ['post', texts.post],
  ['organisation', texts.organisation],
  ['place', texts.place],
  ['nickname', texts.nickname],
  ['number', texts.number],
  ['mail', texts.mail],
  ['tags', texts.tags],
];

/** How names are shown and put in order, and what stands under them. */
export function NamesPart() {
  const dispatch = useAppDispatch();
  const { nameOrder, nameLength, secondLine, sortBy, particlesCount } = useAppSelector(selectSettings);
  const set = (some: Partial<Settings>) => dispatch(changeSettingsUndoably(texts.howNamesAreShown, some));
  return (
    <View className="gap-3">
      <Titled title={texts.namesShown}>
        <Choice
          name={texts.namesShown}
          options={NAME_ORDERS}
          value={nameOrder}
          onChange={(value) => set({ nameOrder: value })}
        />
      </Titled>
      <Titled title={texts.howMuchOfName}>
        <Choice
          name={texts.howMuchOfName}
          options={NAME_LENGTHS}
          value={nameLength}
          onChange={(value) => set({ nameLength: value })}
        />
      </Titled>
      <Titled title={texts.sortedBy}>
        <Choice
          name={texts.sortedBy}
          options={SORT_ORDERS}
          value={sortBy}
          onChange={(value) => set({ sortBy: value })}
        />
        <Switch
          label={texts.particleCount}
          hint={shared.vanDijkStandsUnder}
          isOn={particlesCount}
          onChange={(isOn) => set({ particlesCount: isOn })}
        />
      </Titled>
      <Titled title={texts.underName}>
        <OrderedChoice
          options={SECOND_PARTS}
          chosen={secondLine}
          onChange={(parts) => set({ secondLine: parts })}
          nameOf={(title) => texts.standsUnderName(title)}
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
