import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/settings/settings';
import { Act, Choice, OverPage, Switch, TitledPart, Txt, usePageTitle } from '@/ui';

import { BackupPart } from './BackupPart';
import { CalendarPart } from './CalendarPart';
import { ChangesPart } from './ChangesPart';
import { CountryField } from './CountryField';
import { ExportPart } from './ExportPart';
import { LayoutPart } from './LayoutPart';
import { NamesPart } from './NamesPart';
import { NextSteps } from './NextSteps';
import { OwnAddresses } from './OwnAddresses';
import { QuickActsPart } from './QuickActsPart';
import { SetAsidePart } from './SetAsidePart';
import { StoragePart } from './StoragePart';
import { TodayPart } from './TodayPart';
import { WritingPart } from './WritingPart';

const SIZES = [
  ['0.9', texts.small],
  ['1', texts.normal],
  ['1.2', texts.large],
  ['1.4', texts.veryLarge],
] as const;

/** The user's settings, and import and export. */
export function SettingsPage() {
  usePageTitle(texts.settings);
  const dispatch = useAppDispatch();
  const settings = useAppSelector(selectSettings);
  return (
    <OverPage
      title={texts.settings}
      backLabel={texts.book}
      onBack={() => go('/book')}
      className="max-w-[640px] gap-7"
      testID="settings-page"
    >
      <NextSteps isWhole />
      <TitledPart title={texts.namesAndOrder}>
        <NamesPart />
      </TitledPart>
      <TitledPart title={texts.numbers}>
        <CountryField
          country={settings.country}
          onChange={(country) => dispatch(changeSettingsUndoably(texts.countryForNumbers, { country }))}
        />
      </TitledPart>
      <TitledPart title={texts.quickLine}>
        <QuickActsPart />
      </TitledPart>
      <TitledPart title={texts.writingToMany}>
        <WritingPart />
      </TitledPart>
      <TitledPart title={texts.today}>
        <TodayPart />
      </TitledPart>
      <TitledPart title={texts.cardLayout}>
        <LayoutPart />
      </TitledPart>
      <TitledPart title={texts.colours}>
        <Choice
          name={texts.colours}
          options={[
            ['system', texts.sameAsThisDevice],
            ['light', texts.light],
            ['dark', texts.dark],
          ]}
          value={settings.scheme}
          onChange={(scheme) => dispatch(changeSettingsUndoably(texts.colours, { scheme }))}
        />
      </TitledPart>
      <TitledPart title={texts.sizeOfType}>
        <Choice
          name={texts.sizeOfType}
          options={SIZES}
          value={String(settings.typeScale) as '1'}
          onChange={(size) => dispatch(changeSettingsUndoably(texts.sizeOfType, { typeScale: Number(size) }))}
        />
      </TitledPart>
      <TitledPart title={texts.keyboard}>
        <Switch
          label={texts.singleKeys}
          hint={texts.whatSingleKeysDo}
          isOn={settings.singleKeys}
          onChange={(singleKeys) => dispatch(changeSettingsUndoably(texts.singleKeys, { singleKeys }))}
          testID="single-keys"
        />
      </TitledPart>
      <TitledPart title={shared.yourOwnAddresses}>
        <Txt size="small" tone="faded">
          {texts.theyTellWhatYou}
        </Txt>
        <OwnAddresses />
      </TitledPart>
      <TitledPart title={texts.backup}>
        <BackupPart />
      </TitledPart>
      <TitledPart title={texts.importAndExport}>
        <View className="flex-row">
          <Act label={texts.importCardsFromFiles} onPress={() => go('/import')} testID="to-import" />
        </View>
        <View className="flex-row">
          <Act
            label={shared.talksFromMailAndCalendars}
            onPress={() => go('/import/talks')}
            testID="to-talk-import"
          />
        </View>
        <ExportPart />
        <CalendarPart />
      </TitledPart>
      <TitledPart title={texts.changes}>
        <ChangesPart />
      </TitledPart>
      <TitledPart title={texts.whereBookLies}>
        <StoragePart />
      </TitledPart>
      <SetAsidePart />
    </OverPage>
  );
}
