import { useState } from 'react';
import { View } from 'react-native';
import { z } from 'zod';

import { type AskDirectory, useDirectoryAnswer } from '@/book/directory';
import { type Role, roleSchema } from '@/core/directory';
import { formatDay } from '@/platform';
import { texts } from '@/texts/directory/directory';
import { Act, Choice, Field, NextAct, Trash, Txt } from '@/ui';

import { useDirectoryAct } from './useDirectoryAct';

const usersSchema = z.array(z.object({ name: z.string(), role: roleSchema, created: z.string() }));

const ROLE_WORDS: readonly (readonly [Role, string])[] = [
  ['reader', texts.readerLooksPeopleUp],
  ['editor', texts.editorAddsAndChanges],
  ['administrator', texts.administratorAlsoGivesAccess],
];

interface UsersPartProps {
  readonly ask: AskDirectory;
  /** The name of whoever looks at it. */
  readonly own: string;
}

/** Who has access, as what; giving and taking it. */
export function UsersPart({ ask, own }: UsersPartProps) {
  const act = useDirectoryAct();
  const { value: users, fault, again } = useDirectoryAnswer({ ask, path: '/users', schema: usersSchema });
  const [name, setName] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const [role, setRole] = useState<Role>('reader');
  const add = async () => {
    const body = { name: name.trim(), passphrase, role };
    if (!(await act(() => ask({ method: 'POST', path: '/users', body }), texts.hasAccessAs(body.name, role))))
      return;
    setName('');
    setPassphrase('');
    again();
  };
  const remove = async (gone: string) => {
    const path = `/users/${encodeURIComponent(gone)}`;
    await act(() => ask({ method: 'DELETE', path }), texts.hasNoAccessAny(gone));
    again();
  };
  return (
    <View className="gap-5" testID="users">
      {fault === '' ? null : <Txt tone="brick">{fault}</Txt>}
      <View>
        {users?.map((user) => (
          <View key={user.name} className="flex-row items-center border-b border-rule py-1">
            <View className="min-w-0 flex-1">
              <Txt font="serif" size="strong">
                {user.name}
              </Txt>
              <Txt size="small" tone="faded">
                {texts.since(user.role, formatDay(user.created))}
              </Txt>
            </View>
            {user.name === own ? null : (
              <Act
                label={texts.removeAccessOf(user.name)}
                icon={Trash}
                iconOnly
                tone="faded"
                onPress={() => void remove(user.name)}
              />
            )}
          </View>
        ))}
      </View>
      <View className="gap-4">
        <Field label={texts.name} value={name} onChange={setName} testID="user-name" />
        <Field
          label={texts.passphrase}
          value={passphrase}
          onChange={setPassphrase}
          isSecret
          hint={texts.atLeastTwelveCharactersPass}
          testID="user-passphrase"
        />
        <Choice name={texts.role} options={ROLE_WORDS} value={role} onChange={setRole} />
        <NextAct
          label={texts.giveAccess}
          isDisabled={name.trim() === '' || passphrase === ''}
          onPress={() => void add()}
          testID="add-user"
        />
      </View>
    </View>
  );
}
