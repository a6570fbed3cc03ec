import { View } from 'react-native';

import { selectCounts, useAppSelector } from '@/book/state';
import type { UnfiledView } from '@/book/talks';
import { type TidyState, useTidyLog } from '@/book/tidy';
import type { Cluster, Fault } from '@/core/tidy';
import { formatDay } from '@/platform';
import { texts } from '@/texts/tidy/tidy';
import { Chart, Txt } from '@/ui';

/** Days that the chart shows at most, the latest. */
const DAYS = 12;

/** What helps most goes first: a press that fixes many cards, then what has to be reviewed one by one. */
const WEIGHTS = { certain: 5, mends: 3, likely: 2, unfiled: 1, faults: 1 } as const;

interface StateProps {
  /** Undefined until they have been looked for. */
  readonly clusters: readonly Cluster[] | undefined;
  readonly faults: readonly Fault[];
  readonly unfiled: UnfiledView | undefined;
}

/** How the book stands, what to do first, and how it stood before. */
export function StatePart({ clusters, faults, unfiled }: StateProps) {
  const { people, organisations } = useAppSelector(selectCounts);
  const cards = people + organisations;
  const wrong = new Set([
    ...faults.map(({ uid }) => uid),
    ...(clusters ?? []).filter(({ grade }) => grade !== 'possible').flatMap(({ uids }) => uids),
  ]);
  const now: TidyState | undefined = clusters ? { cards, good: Math.max(0, cards - wrong.size) } : undefined;
  const log = useTidyLog(now);
  if (!now || cards === 0) return null;
  const count = (grade: string) => (clusters ?? []).filter((one) => one.grade === grade).length;
  const mends = faults.filter(({ mend }) => mend?.isSure).length;
  const steps = [
    {
      count: count(texts.certainWord),
      weight: WEIGHTS.certain,
      text: (n: number) => texts.mergeCertainDuplicates(n),
    },
    {
      count: mends,
      weight: WEIGHTS.mends,
      text: (n: number) => texts.fixObviousFaults(n),
    },
    {
      count: count(texts.likelyWord),
      weight: WEIGHTS.likely,
      text: (n: number) => texts.compareLikelyDuplicates(n),
    },
    {
      count: unfiled?.open.length ?? 0,
      weight: WEIGHTS.unfiled,
      text: (n: number) => texts.fileAddressesWrittenTo(n),
    },
    {
      count: faults.length - mends,
      weight: WEIGHTS.faults,
      text: (n: number) => texts.lookAtGapsAndFaults(n),
    },
  ]
    .filter((step) => step.count > 0)
    .sort((a, b) => b.count * b.weight - a.count * a.weight);
  const days = Object.entries(log)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .slice(-DAYS);
  return (
    <View className="gap-2" testID="book-state">
      <Txt font="serifItalic" size="strong" isFigures>
        {texts.ofCardsAreInOrder(now.good, cards)}
      </Txt>
      {steps.length > 0 ? (
        <Txt>
          {texts.first(
            steps
              .slice(0, 3)
              .map((step) => lower(step.text(step.count)))
              .join(texts.then),
          )}
        </Txt>
      ) : null}
      {days.length > 1 ? (
        <Chart
          name={texts.cardsInOrderBy}
          series={[
            { label: texts.inOrder, tone: 'moss' },
            { label: texts.toLookAt, tone: 'rule' },
          ]}
          bars={days.map(([day, state]) => ({
            ...{ short: day.slice(8), label: formatDay(`${day}T12:00:00Z`) },
            parts: [state.good, state.cards - state.good],
          }))}
        />
      ) : null}
    </View>
  );
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
