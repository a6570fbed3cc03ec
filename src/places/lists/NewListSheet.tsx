import { useState } from 'react';
import { View } from 'react-native';

import { changeBook } from '@/book/commit';
import { added } from '@/book/history';
import { useAppDispatch, useServices } from '@/book/state';
import { newList, newRuleList } from '@/core/lists';
import { listPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/lists/lists';
import { Choice, Field, NextAct, Sheet } from '@/ui';

type ListKind = 'picked' | 'rule';

/** Begins a list: with a name, and the way it gets its people. */
export function NewListSheet({ onClose }: { readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const { newUid, utcNow } = useServices();
  const [name, setName] = useState('');
  const [kind, setKind] = useState<ListKind>('picked');
  const make = async () => {
    const [uid, now] = [newUid(), utcNow()];
    const list =
      kind === 'picked'
        ? newList(uid, name.trim(), now)
        : newRuleList(uid, name.trim(), now, { kind: 'all', rules: [] });
    await dispatch(
      changeBook({ cause: 'add', label: texts.createdListNamed(name.trim()), edits: [added(list)] }),
    );
    onClose();
    go(listPath(uid));
  };
  return (
    <Sheet title={texts.newList} isOpen onClose={onClose}>
      <View className="gap-4">
        <Field label={texts.name} value={name} onChange={setName} isFirst testID="list-name" />
        <Choice
          name={texts.howItIsFilled}
          options={[
            ['picked', texts.pickedIChooseWhoIsOnIt],
            ['rule', texts.byRuleItFills],
          ]}
          value={kind}
          onChange={setKind}
        />
        <NextAct
          label={texts.createList}
          isDisabled={name.trim() === ''}
          onPress={() => void make()}
          testID="do-new-list"
        />
      </View>
    </Sheet>
  );
}
