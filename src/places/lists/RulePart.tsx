import { useState } from 'react';
import { View } from 'react-native';

import { changeBook } from '@/book/commit';
import { edited } from '@/book/history';
import { useListName } from '@/book/lists';
import { useAppDispatch } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import { formatRule, type Group, isGroup, type Rule, type Test } from '@/core/find';
import { texts } from '@/texts/lists/lists';
import { Act, Plus, Tabs, Txt, X } from '@/ui';

import { TestSheet } from './TestSheet';

/** The rule of a list, changed where it stands; who is on it follows at once, and every change can be undone. */
export function RulePart({ list, rule }: { readonly list: Card; readonly rule: Rule }) {
  const dispatch = useAppDispatch();
  const set = (next: Rule) =>
    void dispatch(
      changeBook({
        cause: 'edit',
        label: texts.changedRuleOf(shownAs(list)),
        edits: [edited(list.uid, (now) => ({ ...now, 'cordialis.example:rule': next }))],
      }),
    );
  const group: Group = isGroup(rule) ? rule : { kind: 'all', rules: [rule] };
  return (
    <View className="gap-1" testID="rule">
      <Txt size="small" font="sansBold" tone="faded" heading={2}>
        {texts.everybodyWhoMatchesThisIsOnList}
      </Txt>
      <GroupEditor group={group} listUid={list.uid} depth={0} onChange={set} onRemove={undefined} />
    </View>
  );
}

const GROUP_WORDS = [
  ['all', texts.allOfThese],
  ['any', texts.atLeastOne],
  ['none', texts.none],
] as const;

/** Groups in groups that the editor offers; a rule from elsewhere may go deeper. */
const MAX_DEPTH = 4;

interface GroupEditorProps {
  readonly group: Group;
  readonly listUid: string;
  readonly depth: number;
  readonly onChange: (next: Group) => void;
  readonly onRemove: (() => void) | undefined;
}

function GroupEditor({ group, listUid, depth, onChange, onRemove }: GroupEditorProps) {
  const [isAdding, setAdding] = useState(false);
  const replace = (at: number, next: Rule | undefined) =>
    onChange({ ...group, rules: group.rules.flatMap((one, i) => (i === at ? (next ?? []) : one)) });
  const add = (next: Rule) => onChange({ ...group, rules: [...group.rules, next] });
  return (
    <View className={depth === 0 ? '' : 'border-l-2 border-rule pl-4'}>
      <View className="flex-row items-center justify-between">
        <Tabs
          name={texts.howManyMustBe}
          options={GROUP_WORDS}
          value={group.kind}
          onChange={(kind) => onChange({ ...group, kind })}
        />
        {onRemove ? (
          <Act label={texts.removeGroup} icon={X} iconOnly tone="faded" onPress={onRemove} />
        ) : null}
      </View>
      {group.rules.map((one, at) =>
        isGroup(one) ? (
          <GroupEditor
            key={at}
            group={one}
            listUid={listUid}
            depth={depth + 1}
            onChange={(next) => replace(at, next)}
            onRemove={() => replace(at, undefined)}
          />
        ) : (
          <TestLine key={at} test={one} listUid={listUid} onChange={(next) => replace(at, next)} />
        ),
      )}
      <View className="flex-row flex-wrap gap-x-5">
        <Act label={texts.addCondition} icon={Plus} onPress={() => setAdding(true)} testID="add-condition" />
        {depth < MAX_DEPTH ? (
          <Act
            label={texts.addGroup}
            icon={Plus}
            tone="faded"
            onPress={() => add({ kind: 'any', rules: [] })}
            testID="add-group"
          />
        ) : null}
      </View>
      {isAdding ? (
        <TestSheet
          test={{ kind: 'words', field: 'place', value: '' }}
          listUid={listUid}
          onClose={() => setAdding(false)}
          onDone={(test) => {
            setAdding(false);
            add(test);
          }}
        />
      ) : null}
    </View>
  );
}

interface TestLineProps {
  readonly test: Test;
  readonly listUid: string;
  readonly onChange: (next: Test | undefined) => void;
}

function TestLine({ test, listUid, onChange }: TestLineProps) {
  const nameOf = useListName();
  const [isOpen, setOpen] = useState(false);
  const text = formatRule(test, nameOf);
  return (
    <View className="flex-row items-center justify-between border-b border-rule">
      <Act label={text} name={texts.conditionChange(text)} tone="ink" onPress={() => setOpen(true)} />
      <Act
        label={texts.removeCondition(text)}
        icon={X}
        iconOnly
        tone="faded"
        onPress={() => onChange(undefined)}
      />
      {isOpen ? (
        <TestSheet
          test={test}
          listUid={listUid}
          onClose={() => setOpen(false)}
          onDone={(next) => {
            setOpen(false);
            onChange(next);
          }}
        />
      ) : null}
    </View>
  );
}
