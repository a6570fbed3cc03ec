import { useMemo, useState } from 'react';
import { View } from 'react-native';

import { type AskDirectory, type DirectorySession, useDirectory } from '@/book/directory';
import type { Role } from '@/core/directory';
import { askHub } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/directory/directory';
import { Act, OverPage, Tabs, Txt, usePageTitle } from '@/ui';

import { EntriesPart } from './EntriesPart';
import { LogPart } from './LogPart';
import { SignInPart } from './SignInPart';
import { UsersPart } from './UsersPart';

/** The common directory: people whom an administrator keeps for everybody who has access. */
export function DirectoryPage() {
  usePageTitle(texts.directory);
  const directory = useDirectory();
  const { standing } = directory;
  return (
    <OverPage
      title={texts.directory}
      backLabel={texts.devices}
      onBack={() => go('/devices')}
      className="max-w-[720px] gap-4"
      testID="directory-page"
    >
      {standing.kind === 'asking' ? <Txt tone="faded">{shared.contactingHub}</Txt> : null}
      {standing.kind === 'unreachable' ? (
        <View className="flex-row flex-wrap items-center gap-x-5">
          <Txt tone="brick">{texts.noDirectory(standing.message)}</Txt>
          <Act label={texts.tryAgain} onPress={directory.again} />
        </View>
      ) : null}
      {standing.kind === 'empty' || standing.kind === 'out' ? (
        <SignInPart isFirst={standing.kind === 'empty'} enter={directory.enter} />
      ) : null}
      {standing.kind === 'in' ? <SignedIn session={standing.session} leave={directory.leave} /> : null}
    </OverPage>
  );
}

interface SignedInProps {
  readonly session: DirectorySession;
  readonly leave: () => Promise<void>;
}

type Part = 'people' | 'access' | 'log';

const PARTS: Readonly<Record<Role, readonly (readonly [Part, string])[]>> = {
  administrator: [
    ['people', texts.people],
    ['access', texts.access],
    ['log', texts.log],
  ],
  editor: [],
  reader: [],
};

function SignedIn({ session, leave }: SignedInProps) {
  const { name, role, token } = session;
  const [part, setPart] = useState<Part>('people');
  const ask = useMemo<AskDirectory>(
    () => (question) =>
      askHub({ ...question, path: `/directory${question.path}`, token, scheme: 'Directory' }),
    [token],
  );
  const parts = PARTS[role];
  return (
    <>
      <View className="flex-row flex-wrap items-center gap-x-5">
        <Txt size="small" tone="faded" testID="signed-in">
          {texts.signedInAs(name, role)}
        </Txt>
        <Act label={texts.signOut} tone="faded" onPress={() => void leave()} testID="sign-out" />
      </View>
      {parts.length === 0 ? null : (
        <Tabs name={texts.parts} options={parts} value={part} onChange={setPart} />
      )}
      {part === 'people' ? <EntriesPart ask={ask} role={role} /> : null}
      {part === 'access' ? <UsersPart ask={ask} own={name} /> : null}
      {part === 'log' ? <LogPart ask={ask} /> : null}
    </>
  );
}
