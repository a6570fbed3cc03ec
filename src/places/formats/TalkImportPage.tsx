import { type ComponentType, useEffect, useState } from 'react';
import { View } from 'react-native';

import { undo } from '@/book/commit';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import type { ImportedTalks } from '@/book/talks';
import { onFileDrop, pickFiles } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/formats/formats';
import { Act, NextAct, OverPage, ProgressLine, Switch, Txt, Upload, usePageTitle } from '@/ui';

import { useTalkImport } from './useTalkImport';

const ACCEPT = '.mbox,.mbx,.eml,.ics,.zip,message/rfc822,application/mbox,text/calendar,application/zip';

interface TalkImportProps {
  /** Where the user's own addresses are kept; it is the settings'. */
  readonly OwnAddresses: ComponentType<{ readonly guessed?: readonly string[] }>;
}

/** Importing talks from mail and calendars: who wrote to whom and when, matched to cards by their addresses. */
export function TalkImportPage({ OwnAddresses }: TalkImportProps) {
  usePageTitle(texts.mailAndCalendars);
  const { ownAddresses } = useAppSelector(selectSettings);
  const [withTexts, setTexts] = useState(false);
  const { state, begin, take, stop, reset } = useTalkImport();
  const isIdle = state.kind === 'idle';
  useEffect(
    () => (isIdle ? onFileDrop((files) => void begin(files, withTexts)) : undefined),
    [begin, isIdle, withTexts],
  );
  return (
    <OverPage
      title={texts.mailAndCalendars}
      backLabel={texts.book}
      onBack={() => go('/book')}
      className="max-w-[720px] gap-5"
      testID="talk-import-page"
    >
      {isIdle ? (
        <>
          <Txt font="serifItalic" size="strong" tone="faded">
            {texts.eachMessageAndEachAppointment}
          </Txt>
          <Switch
            label={texts.whatWasWrittenIsKept}
            hint={texts.withoutItOnlySubject}
            isOn={withTexts}
            onChange={setTexts}
          />
          <View>
            <Txt size="small" tone="faded" font="sansBold">
              {shared.yourOwnAddresses}
            </Txt>
            <OwnAddresses />
          </View>
          <NextAct
            label={texts.chooseFiles}
            icon={Upload}
            onPress={() => void pickFiles(ACCEPT).then((files) => begin(files, withTexts))}
            testID="choose-mail"
          />
          <Txt size="small" tone="faded">
            {texts.orDropThemAnywhereOnThisPage}
          </Txt>
        </>
      ) : null}
      {state.kind === 'asking' ? (
        <View className="gap-4">
          <Txt>{texts.whichAddressesAreYours}</Txt>
          <OwnAddresses guessed={state.guessed} />
          <NextAct
            label={texts.continue}
            isDisabled={ownAddresses.length === 0}
            onPress={() => void take(state.files, withTexts)}
            testID="go-on"
          />
          <View className="flex-row">
            <Act label={texts.cancel} tone="faded" onPress={reset} />
          </View>
        </View>
      ) : null}
      {state.kind === 'reading' ? (
        <ProgressLine
          text={texts.messagesReadTalksNew(state.messages, state.added)}
          share01={state.share01}
          onStop={stop}
        />
      ) : null}
      {state.kind === 'done' ? <Taken taken={state.taken} onMore={reset} /> : null}
      {state.kind === 'failed' ? (
        <View role="alert" className="gap-3">
          <Txt tone="brick">{state.message}</Txt>
          <View className="flex-row">
            <Act label={texts.chooseOtherFiles} onPress={reset} />
          </View>
        </View>
      ) : null}
    </OverPage>
  );
}

function Taken({ taken, onMore }: { readonly taken: ImportedTalks; readonly onMore: () => void }) {
  const dispatch = useAppDispatch();
  const { messages, appointments, talks, added, unfiled, meetings, problems, changeId } = taken;
  const known = talks - added;
  const lines = [
    texts.messagesAndAppointmentsRead(messages, appointments),
    known > 0 ? texts.talksNewAndKnown(added, known) : texts.talksNew(added),
    meetings > 0 ? texts.appointmentsToCome(meetings) : '',
    unfiled > 0 ? texts.addressesWrittenToWithout(unfiled) : '',
  ].filter(Boolean);
  return (
    <View className="gap-3" testID="talks-taken">
      {lines.map((line) => (
        <Txt key={line} size="strong">
          {line}
        </Txt>
      ))}
      {problems.map((problem) => (
        <Txt key={problem} tone="brick">
          {problem}
        </Txt>
      ))}
      <View className="flex-row flex-wrap gap-x-5">
        {unfiled > 0 ? (
          <Act label={texts.reviewUnfiledAddresses} onPress={() => go('/tidy')} testID="to-unfiled" />
        ) : null}
        {changeId === undefined ? null : (
          <Act label={texts.undoImport} onPress={() => dispatch(undo(changeId))} testID="undo-talks" />
        )}
        <Act label={texts.importOtherFiles} tone="faded" onPress={onMore} />
      </View>
    </View>
  );
}
