import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSetAside, selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { formatCount } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, Choice, OverPage, TitledPart, Txt, usePageTitle } from '@/ui';

import { BackupPart } from './BackupPart';
import { CalendarPart } from './CalendarPart';
import { CountryField } from './CountryField';
import { ExportPart } from './ExportPart';
import { LayoutPart } from './LayoutPart';
import { NamesPart } from './NamesPart';
import { OwnAddresses } from './OwnAddresses';
import { QuickActsPart } from './QuickActsPart';
import { TodayPart } from './TodayPart';
import { WritingPart } from './WritingPart';

const SIZES = [
  ['0.9', 'Small'],
  ['1', 'Normal'],
  ['1.2', 'Large'],
  ['1.4', 'Very large'],
] as const;

/** What the user can set, and the ways in and out of the book. */
export function SettingsPage() {
  usePageTitle('Settings');
  const dispatch = useAppDispatch();
  const settings = useAppSelector(selectSettings);
  const setAside = useAppSelector(selectSetAside);
  return (
    <OverPage
      title="Settings"
      backLabel="Book"
      onBack={() => go('/book')}
      className="max-w-[640px] gap-7"
      testID="settings-page"
    >
      <TitledPart title="Names and order">
        <NamesPart />
      </TitledPart>
      <TitledPart title="Numbers">
        <CountryField
          country={settings.country}
          onChange={(country) => dispatch(changeSettingsUndoably('Country for numbers', { country }))}
        />
      </TitledPart>
      <TitledPart title="Quick line">
        <QuickActsPart />
      </TitledPart>
      <TitledPart title="Writing to many">
        <WritingPart />
      </TitledPart>
      <TitledPart title="Today">
        <TodayPart />
      </TitledPart>
      <TitledPart title="Card layout">
        <LayoutPart />
      </TitledPart>
      <TitledPart title="Colours">
        <Choice
          name="Colours"
          options={[
            ['system', 'Same as this device'],
            ['light', 'Light'],
            ['dark', 'Dark'],
          ]}
          value={settings.scheme}
          onChange={(scheme) => dispatch(changeSettingsUndoably('Colours', { scheme }))}
        />
      </TitledPart>
      <TitledPart title="Size of type">
        <Choice
          name="Size of type"
          options={SIZES}
          value={String(settings.typeScale) as '1'}
          onChange={(size) => dispatch(changeSettingsUndoably('Size of type', { typeScale: Number(size) }))}
        />
      </TitledPart>
      <TitledPart title="Your own addresses">
        <Txt size="small" tone="faded">
          They tell what you sent from what you received, and who asks to an appointment.
        </Txt>
        <OwnAddresses />
      </TitledPart>
      <TitledPart title="Backup">
        <BackupPart />
      </TitledPart>
      <TitledPart title="Import and export">
        <View className="flex-row">
          <Act label="Import cards from files" onPress={() => go('/import')} testID="to-import" />
        </View>
        <View className="flex-row">
          <Act
            label="Talks from mail and calendars"
            onPress={() => go('/import/talks')}
            testID="to-talk-import"
          />
        </View>
        <ExportPart />
        <CalendarPart />
      </TitledPart>
      {setAside.length === 0 ? null : (
        <TitledPart title="Set aside">
          <Txt tone="ochre">{`${formatCount(setAside.length, 'record', 'records')} of the store could not be read. Their text is kept apart, and the rest of the book is whole.`}</Txt>
          {setAside.map((line) => (
            <Txt key={line} size="small" tone="faded">
              {line}
            </Txt>
          ))}
        </TitledPart>
      )}
    </OverPage>
  );
}
