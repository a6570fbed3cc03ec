import { View } from 'react-native';

import { selectCounts, useAppSelector } from '@/book/state';
import type { UnfiledView } from '@/book/talks';
import { type TidyState, useTidyLog } from '@/book/tidy';
import type { Cluster, Fault } from '@/core/tidy';
import { formatCount, formatDay } from '@/platform';
import { Chart, Txt } from '@/ui';

/** Days that the chart shows at most, the latest. */
const DAYS = 12;

/** What helps most goes first: a press that mends many cards, then what has to be looked at one by one. */
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
      count: count('certain'),
      weight: WEIGHTS.certain,
      text: (n: number) => `Merge ${formatCount(n, 'certain duplicate', 'certain duplicates')}`,
    },
    {
      count: mends,
      weight: WEIGHTS.mends,
      text: (n: number) => `Fix ${formatCount(n, 'obvious fault', 'obvious faults')}`,
    },
    {
      count: count('likely'),
      weight: WEIGHTS.likely,
      text: (n: number) => `Compare ${formatCount(n, 'likely duplicate', 'likely duplicates')}`,
    },
    {
      count: unfiled?.open.length ?? 0,
      weight: WEIGHTS.unfiled,
      text: (n: number) => `File ${formatCount(n, 'address', 'addresses')} written to`,
    },
    {
      count: faults.length - mends,
      weight: WEIGHTS.faults,
      text: (n: number) => `Look at ${formatCount(n, 'gap or fault', 'gaps and faults')}`,
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
        {`${now.good} of ${formatCount(cards, 'card', 'cards')} are in order.`}
      </Txt>
      {steps.length > 0 ? (
        <Txt>{`First: ${steps
          .slice(0, 3)
          .map((step) => lower(step.text(step.count)))
          .join('; then ')}.`}</Txt>
      ) : null}
      {days.length > 1 ? (
        <Chart
          name="Cards in order by day"
          series={[
            { label: 'in order', tone: 'moss' },
            { label: 'to look at', tone: 'rule' },
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
