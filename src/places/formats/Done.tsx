import { View } from 'react-native';

import { undo } from '@/book/commit';
import { useAppDispatch } from '@/book/state';
import { formatCount } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, NextAct, Txt } from '@/ui';

import type { ImportSummary } from './importState';
import { Problems } from './Problems';

interface DoneProps {
  readonly summary: ImportSummary;
  readonly onMore: () => void;
}

/** What an import has done; it stays until the user goes on. */
export function Done({ summary, onMore }: DoneProps) {
  const dispatch = useAppDispatch();
  const { source, taken, same, left, problems, changeId } = summary;
  const lines = [
    `${formatCount(taken, 'card', 'cards')} imported from ${source}.`,
    same === 0 ? '' : `${formatCount(same, 'card was', 'cards were')} already here and the same.`,
    left === 0 ? '' : `${formatCount(left, 'card was', 'cards were')} left out, as you chose.`,
  ].filter(Boolean);
  return (
    <View className="gap-4" testID="import-done">
      <View>
        {lines.map((line) => (
          <Txt key={line} size="strong">
            {line}
          </Txt>
        ))}
      </View>
      <Problems problems={problems} />
      <View className="flex-row flex-wrap items-center gap-x-4 gap-y-2">
        <NextAct label="Go to the Book" onPress={() => go('/book')} />
        <Act label="Import another file" onPress={onMore} />
        {changeId === undefined ? null : (
          <Act
            label="Undo the import"
            tone="brick"
            onPress={() => {
              dispatch(undo(changeId));
              onMore();
            }}
          />
        )}
      </View>
    </View>
  );
}
