import { type ComponentType, useEffect, useState } from 'react';
import { View } from 'react-native';

import { undo } from '@/book/commit';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import type { ImportedTalks } from '@/book/talks';
import { formatCount, onFileDrop, pickFiles } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, NextAct, OverPage, ProgressLine, Switch, Txt, Upload, usePageTitle } from '@/ui';

import { useTalkImport } from './useTalkImport';

const ACCEPT = '.mbox,.mbx,.eml,.ics,.zip,message/rfc822,application/mbox,text/calendar,application/zip';

interface TalkImportProps {
  /** Where the user's own addresses are kept; it is the settings'. */
  readonly OwnAddresses: ComponentType<{ readonly guessed?: readonly string[] }>;
}

/** Taking talks in from mail and calendars: who wrote to whom and when, matched to cards by their addresses. */
export function TalkImportPage({ OwnAddresses }: TalkImportProps) {
  usePageTitle('Mail and calendars');
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
      title="Mail and calendars"
      backLabel="Book"
      onBack={() => go('/book')}
      className="max-w-[720px] gap-5"
      testID="talk-import-page"
    >
      {isIdle ? (
        <>
          <Txt font="serifItalic" size="strong" tone="faded">
            Each message and each appointment with somebody who has a card becomes a talk: when, who began it,
            what about. From mailboxes (.mbox), single messages (.eml), calendars (.ics), or all of them in a
            zip archive. Nothing leaves this browser, and reading a file again adds nothing twice.
          </Txt>
          <Switch
            label="What was written is kept, too"
            hint="Without it only the subject is"
            isOn={withTexts}
            onChange={setTexts}
          />
          <View>
            <Txt size="small" tone="faded" font="sansBold">
              Your own addresses
            </Txt>
            <OwnAddresses />
          </View>
          <NextAct
            label="Choose files"
            icon={Upload}
            onPress={() => void pickFiles(ACCEPT).then((files) => begin(files, withTexts))}
            testID="choose-mail"
          />
          <Txt size="small" tone="faded">
            Or drop them anywhere on this page.
          </Txt>
        </>
      ) : null}
      {state.kind === 'asking' ? (
        <View className="gap-4">
          <Txt>Which addresses are yours? They tell what you sent from what you received.</Txt>
          <OwnAddresses guessed={state.guessed} />
          <NextAct
            label="Continue"
            isDisabled={ownAddresses.length === 0}
            onPress={() => void take(state.files, withTexts)}
            testID="go-on"
          />
          <View className="flex-row">
            <Act label="Cancel" tone="faded" onPress={reset} />
          </View>
        </View>
      ) : null}
      {state.kind === 'reading' ? (
        <ProgressLine
          text={`${formatCount(state.messages, 'message', 'messages')} read, ${formatCount(state.added, 'talk', 'talks')} new. Stop undoes what has been imported so far`}
          share01={state.share01}
          onStop={stop}
        />
      ) : null}
      {state.kind === 'done' ? <Taken taken={state.taken} onMore={reset} /> : null}
      {state.kind === 'failed' ? (
        <View role="alert" className="gap-3">
          <Txt tone="brick">{state.message}</Txt>
          <View className="flex-row">
            <Act label="Choose other files" onPress={reset} />
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
    `${formatCount(messages, 'message', 'messages')} and ${formatCount(appointments, 'appointment', 'appointments')} read.`,
    `${formatCount(added, 'talk', 'talks')} new${known > 0 ? `, ${known} known already` : ''}.`,
    meetings > 0 ? `${formatCount(meetings, 'appointment', 'appointments')} to come.` : '',
    unfiled > 0 ? `${formatCount(unfiled, 'address', 'addresses')} written to without a card.` : '',
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
          <Act label="Review unfiled addresses" onPress={() => go('/tidy')} testID="to-unfiled" />
        ) : null}
        {changeId === undefined ? null : (
          <Act label="Undo the import" onPress={() => dispatch(undo(changeId))} testID="undo-talks" />
        )}
        <Act label="Import other files" tone="faded" onPress={onMore} />
      </View>
    </View>
  );
}
