import { View } from 'react-native';

import { selectRowsByUid, useAppDispatch, useAppSelector } from '@/book/state';
import { keepApart, lookForDuplicates, mergeInBook, stopLooking, type useDuplicates } from '@/book/tidy';
import type { Cluster, Grade } from '@/core/tidy';
import { comparePath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/tidy/tidy';
import { Act, EvidenceBars, Merge, ProgressLine, Split, Txt } from '@/ui';

import { KindPart } from './KindPart';

/** Clusters of a grade that are shown at once. */
const SHOWN = 12;

const GRADES: readonly (readonly [Grade, string])[] = [
  ['certain', texts.certain],
  ['likely', texts.likely],
  ['possible', texts.possible],
];

type DuplicatesProps = ReturnType<typeof useDuplicates> & OpenCluster;

interface OpenCluster {
  /** The one that stands beside the list. */
  readonly open?: Cluster | undefined;
  /** Puts a cluster beside the list; without it, comparing is a page of its own. */
  readonly onOpen?: (cluster: Cluster) => void;
}

/** Cards that are the same person or organisation, by how sure it is. */
export function DuplicatesPart({ share01, clusters, open, onOpen }: DuplicatesProps) {
  const dispatch = useAppDispatch();
  return (
    <View testID="duplicates">
      <View className="flex-row flex-wrap items-center justify-between gap-x-4">
        <Txt font="serif" size="title" heading={2}>
          {texts.duplicates}
        </Txt>
        {share01 === undefined ? (
          <Act label={texts.checkAgain} tone="faded" onPress={() => void dispatch(lookForDuplicates())} />
        ) : null}
      </View>
      {share01 === undefined ? null : <Looking share01={share01} />}
      {clusters?.length === 0 ? (
        <Txt font="serifItalic" tone="faded">
          {texts.noTwoCardsLook}
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
            rowOf={(cluster) => (
              <ClusterRow
                key={cluster.uids.join(' ')}
                cluster={cluster}
                {...(onOpen ? { onOpen } : {})}
                isOpen={open === cluster}
              />
            )}
            act={
              grade === 'certain' && own.length > 1 ? (
                <Act
                  label={texts.mergeAll(own.length)}
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

/** How far the search for duplicates is, and stopping it. */
export function Looking({ share01 }: { readonly share01: number }) {
  const dispatch = useAppDispatch();
  return (
    <ProgressLine text={texts.comparingCards} share01={share01} onStop={() => dispatch(stopLooking())} />
  );
}

interface ClusterProps extends Pick<OpenCluster, 'onOpen'> {
  readonly cluster: Cluster;
  readonly isOpen: boolean;
}

function ClusterRow({ cluster, isOpen, onOpen }: ClusterProps) {
  const { uids, evidence, probability } = cluster;
  const dispatch = useAppDispatch();
  const rows = useAppSelector(selectRowsByUid);
  const people = uids.flatMap((uid) => rows.get(uid) ?? []);
  const names = people.map(({ shown }) => shown || shared.noNameYet).join(' · ');
  const percent = Math.min(99, Math.round(probability * 100));
  return (
    <View
      className={`-mx-3 gap-1 border-b border-rule px-3 py-2 ${isOpen ? 'bg-leaf' : ''}`}
      testID="cluster"
    >
      <Txt font="serif" size="strong">
        {names}
      </Txt>
      <Txt size="small" tone="faded" isFigures>
        {texts.cardsLikelySame(uids.length, percent)}
      </Txt>
      <EvidenceBars evidence={evidence} />
      <View className="flex-row flex-wrap gap-x-5">
        <Act
          label={texts.compare}
          name={texts.compareNamed(names)}
          onPress={() => (onOpen ? onOpen(cluster) : go(comparePath(uids)))}
          testID="compare"
        />
        <Act
          label={texts.merge}
          name={texts.mergeNamed(names)}
          icon={Merge}
          onPress={() => void dispatch(mergeInBook([uids]))}
          testID="merge"
        />
        <Act
          label={shared.notSame}
          name={texts.keepApart(names)}
          icon={Split}
          tone="faded"
          onPress={() => void dispatch(keepApart(uids))}
          testID="keep-apart"
        />
      </View>
    </View>
  );
}
