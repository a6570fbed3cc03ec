import { useState } from 'react';
import { View } from 'react-native';

import { useFoundByName } from '@/book/lists';
import { selectRowsByUid, useAppSelector } from '@/book/state';
import type { Uid } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/talk';
import { Act, Field, Plus, X } from '@/ui';

/** People offered while one types. */
const OFFERED = 5;

interface PeopleFieldProps {
  readonly label: string;
  readonly uids: readonly Uid[];
  readonly onChange: (uids: Uid[]) => void;
}

/** Several people: each with a way to take them off, and a line that finds more. One always stays. */
export function PeopleField({ label, uids, onChange }: PeopleFieldProps) {
  const rows = useAppSelector(selectRowsByUid);
  const [typed, setTyped] = useState('');
  const found = useFoundByName(typed.trim(), OFFERED + uids.length);
  const offered = (found ?? [])
    .filter(({ uid, kind }) => kind !== 'list' && !uids.includes(uid))
    .slice(0, OFFERED);
  return (
    <View>
      <View className="flex-row flex-wrap gap-x-4">
        {uids.length < 2
          ? null
          : uids.map((uid) => (
              <Act
                key={uid}
                label={rows.get(uid)?.shown ?? shared.noNameYet}
                name={texts.removeNamed(rows.get(uid)?.shown ?? texts.them)}
                icon={X}
                tone="ink"
                onPress={() => onChange(uids.filter((one) => one !== uid))}
              />
            ))}
      </View>
      <Field label={label} value={typed} onChange={setTyped} placeholder={texts.name} testID="people-field" />
      <View className="flex-row flex-wrap gap-x-4">
        {offered.map(({ uid, shown }) => (
          <Act
            key={uid}
            label={shown}
            name={texts.add(shown)}
            icon={Plus}
            onPress={() => {
              setTyped('');
              onChange([...uids, uid]);
            }}
          />
        ))}
      </View>
    </View>
  );
}
