import { View } from 'react-native';

import { selectRowsByUid, useAppDispatch, useAppSelector } from '@/book/state';
import { keepApart, lookForDuplicates, mergeInBook, stopLooking, type useDuplicates } from '@/book/tidy';
import type { Cluster, Grade } from '@/core/tidy';
import { comparePath, formatCount } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, EvidenceBars, Merge, ProgressLine, Split, Txt } from '@/ui';

import { KindPart } from './KindPart';

/** Clusters of a grade that are shown at once. */
const SHOWN = 12;

const GRADES: readonly (readonly [Grade, string])[] = [
  ['certain', 'Certain'],
  ['likely', 'Likely'],
  ['possible', 'Possible'],
];

/** Cards that are the same person or organisation, by how sure it is. */
export function DuplicatesPart({ share01, clusters }: ReturnType<typeof useDuplicates>) {
  const dispatch = useAppDispatch();
  return (
    <View testID="duplicates">
      <View className="flex-row flex-wrap items-center justify-between gap-x-4">
        <Txt font="serif" size="title" heading={2}>
          Duplicates
        </Txt>
        {share01 === undefined ? (
          <Act label="Check again" tone="faded" onPress={() => void dispatch(lookForDuplicates())} />
        ) : null}
      </View>
      {share01 === undefined ? null : (
        <ProgressLine text="Comparing cards" share01={share01} onStop={() => dispatch(stopLooking())} />
      )}
      {clusters?.length === 0 ? (
        <Txt font="serifItalic" tone="faded">
          No two cards look like the same person.
        </Txt>
      ) : null}
      {GRADES.map(([grade, title]) => {
        const own = (clusters ?? []).filter((cluster) => cluster.grade === grade);
        return (
          <KindPart
            key={grade}
            title={title}
            items={own}
            shownAtFirst={SHOWN}
            step={100}
            rowOf={(cluster) => <ClusterRow key={cluster.uids.join(' ')} cluster={cluster} />}
            act={
              grade === 'certain' && own.length > 1 ? (
                <Act
                  label={`Merge all ${own.length}`}
                  icon={Merge}
                  onPress={() => void dispatch(mergeInBook(own.map(({ uids }) => uids)))}
                  testID="merge-all"
                />
              ) : null
            }
            testID={`grade-${title}`}
          />
        );
      })}
    </View>
  );
}

function ClusterRow({ cluster: { uids, evidence, probability } }: { readonly cluster: Cluster }) {
  const dispatch = useAppDispatch();
  const rows = useAppSelector(selectRowsByUid);
  const people = uids.flatMap((uid) => rows.get(uid) ?? []);
  const names = people.map(({ shown }) => shown || 'No name yet').join(' · ');
  const percent = Math.min(99, Math.round(probability * 100));
  return (
    <View className="gap-1 border-b border-rule py-2" testID="cluster">
      <Txt font="serif" size="strong">
        {names}
      </Txt>
      <Txt size="small" tone="faded" isFigures>
        {`${formatCount(uids.length, 'card', 'cards')}, ${percent}% likely the same`}
      </Txt>
      <EvidenceBars evidence={evidence} />
      <View className="flex-row flex-wrap gap-x-5">
        <Act
          label="Compare"
          name={`Compare ${names}`}
          onPress={() => go(comparePath(uids))}
          testID="compare"
        />
        <Act
          label="Merge"
          name={`Merge ${names}`}
          icon={Merge}
          onPress={() => void dispatch(mergeInBook([uids]))}
          testID="merge"
        />
        <Act
          label="Not the same"
          name={`Keep ${names} apart`}
          icon={Split}
          tone="faded"
          onPress={() => void dispatch(keepApart(uids))}
          testID="keep-apart"
        />
      </View>
    </View>
  );
}
