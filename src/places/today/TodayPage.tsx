import { Children, type ComponentType, Suspense, useState } from 'react';
import { ScrollView, View } from 'react-native';

import { selectIsOpen, selectPinnedRows, selectReading, useAppSelector, useToday } from '@/book';
import type { CardRow, Uid } from '@/core/card';
import type { DueCard, Occasion, Quiet, TodayPlan } from '@/core/talks';
import { formatCount, localDay, LOCALE } from '@/platform';
import { Act, Txt, usePageTitle, useWide } from '@/ui';

import { AlmanacStrip } from './AlmanacStrip';
import { sentenceOf } from './sentence';
import { TodayRow } from './TodayRow';

/** People of a part that are named at once: a few, not a wall of them. */
const SHOWN = 6;

/** Days that the almanac strip shows. */
const AHEAD = 28;

/** What can be done for a person; it is another place's, as it is done to cards. */
export type PersonActs = ComponentType<{ readonly uid: Uid; readonly occasion: Occasion }>;

/** The first place: whom to greet, whom to talk to, who is late, what is coming. */
export function TodayPage({ PersonActs }: { readonly PersonActs: PersonActs }) {
  usePageTitle('Today');
  const { isWide } = useWide();
  const plan = useToday(AHEAD);
  const isReading = useAppSelector((state) => !selectIsOpen(state) || selectReading(state) !== undefined);
  const pinned = useAppSelector(selectPinnedRows);
  const day = new Date(`${localDay()}T12:00:00`).toLocaleDateString(LOCALE, {
    ...{ weekday: 'long', day: 'numeric', month: 'long' },
  });
  return (
    <ScrollView testID="today-page">
      <View className={`max-w-[760px] gap-5 pb-8 pt-4 ${isWide ? 'px-6' : 'px-5'}`}>
        <View className="gap-1">
          <Txt size="small" tone="faded">
            {day}
          </Txt>
          <Txt font="serif" size="head" heading={1}>
            Today
          </Txt>
          <Txt font="serifItalic" size="strong" testID="today-sentence">
            {isReading ? 'Reading the book …' : sentenceOf(plan)}
          </Txt>
        </View>
        <AlmanacStrip plan={plan} days={AHEAD} />
        <Suspense fallback={null}>
          <Greetings plan={plan} PersonActs={PersonActs} />
          <Dues title="Late" dues={plan.late} PersonActs={PersonActs} />
          <Dues title="Due today" dues={plan.due} PersonActs={PersonActs} />
          <QuietOnes quiet={plan.quiet} PersonActs={PersonActs} />
        </Suspense>
        <Pinned rows={pinned} />
      </View>
    </ScrollView>
  );
}

interface WithActs {
  readonly PersonActs: PersonActs;
}

function Greetings({ plan, PersonActs }: WithActs & { readonly plan: TodayPlan }) {
  return (
    <Part title="Greetings" count={plan.greetings.length}>
      {plan.greetings.map(({ uid, kind, years }) => {
        const occasion = kind === 'wedding' ? 'wedding' : 'birth';
        return (
          <TodayRow
            key={`${uid} ${kind}`}
            uid={uid}
            why={greetingWhy(occasion, years)}
            acts={<PersonActs uid={uid} occasion={occasion} />}
          />
        );
      })}
    </Part>
  );
}

function greetingWhy(occasion: 'birth' | 'wedding', years: number | null): string {
  if (occasion === 'birth')
    return years === null ? 'Birthday' : years === 0 ? 'Born today' : `Turns ${years}`;
  return years === null || years === 0 ? 'Wedding day' : `Married for ${formatCount(years, 'year', 'years')}`;
}

function Dues({
  title,
  dues,
  PersonActs,
}: WithActs & { readonly title: string; readonly dues: readonly DueCard[] }) {
  return (
    <Part title={title} count={dues.length}>
      {dues.map((due) => (
        <TodayRow key={due.uid} uid={due.uid} due={due} acts={<PersonActs uid={due.uid} occasion="due" />} />
      ))}
    </Part>
  );
}

function QuietOnes({ quiet, PersonActs }: WithActs & { readonly quiet: readonly Quiet[] }) {
  return (
    <Part title="Gone quiet" count={quiet.length}>
      {quiet.map(({ uid, days, usual }) => (
        <TodayRow
          key={uid}
          uid={uid}
          why={`Nothing for ${formatCount(days, 'day', 'days')}; usually every ${usual === 1 ? 'day' : `${usual} days`}`}
          acts={<PersonActs uid={uid} occasion="quiet" />}
        />
      ))}
    </Part>
  );
}

/** Pinned people, as at the head of the Book. */
function Pinned({ rows }: { readonly rows: readonly CardRow[] }) {
  return (
    <Part title="Pinned" count={rows.length}>
      {rows.map(({ uid }) => (
        <TodayRow key={uid} uid={uid} why="" acts={null} />
      ))}
    </Part>
  );
}

function Part({
  title,
  count,
  children,
}: {
  readonly title: string;
  readonly count: number;
  readonly children: React.ReactNode;
}) {
  const [isAll, setAll] = useState(false);
  const rows = Children.toArray(children);
  if (count === 0) return null;
  const rest = rows.length - SHOWN;
  return (
    <View testID={`part-${title}`}>
      <Txt font="serif" size="title" heading={2}>
        {title}
      </Txt>
      {isAll ? rows : rows.slice(0, SHOWN)}
      {isAll || rest <= 0 ? null : (
        <View className="flex-row">
          <Act
            label={`${rest} more`}
            name={`${title}: ${rest} more`}
            tone="faded"
            onPress={() => setAll(true)}
          />
        </View>
      )}
    </View>
  );
}
