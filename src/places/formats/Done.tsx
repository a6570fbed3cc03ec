import { View } from 'react-native';

import { undo } from '@/book/commit';
import { useAppDispatch } from '@/book/state';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/formats/formats';
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
    texts.cardsImportedFrom(taken, source),
    same === 0 ? '' : texts.cardsWereAlreadyHere(same),
    left === 0 ? '' : texts.cardsWereLeftOut(left),
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
        <NextAct label={shared.goToBook} onPress={() => go('/book')} />
        <Act label={texts.importAnotherFile} onPress={onMore} />
        {changeId === undefined ? null : (
          <Act
            label={texts.undoImport}
            tone="brick"
            onPress={() => {
              void dispatch(undo(changeId));
              onMore();
            }}
          />
        )}
      </View>
    </View>
  );
}
