import { Pressable, View } from 'react-native';

import { selectSummaries, useAppSelector } from '@/book/state';
import { useTalkBars } from '@/book/talks';
import type { Uid } from '@/core/card';
import { talksByYear } from '@/core/talks';
import { texts } from '@/texts/card/talk';
import { Txt, useColours } from '@/ui';

import { KIND_TONES } from '../parts/talkWords';

/** Height in px of the bar with the most talks. */
const HEIGHT = 44;

interface TalkGlanceProps {
  readonly uid: Uid;
  readonly isOpen: boolean;
  /** Shows the charts with their tables, or hides them. */
  readonly onPress: () => void;
}

/** How much was talked with somebody, at a glance: by kind over the years, or by month where it is all in one year. */
export function TalkGlance({ uid, ...rest }: TalkGlanceProps) {
  const summary = useAppSelector((state) => selectSummaries(state).get(uid));
  const years = summary ? talksByYear(summary) : [];
  const [first, last] = [years[0]?.year, years.at(-1)?.year];
  if (first === undefined || last === undefined || first === last) return <Months uid={uid} {...rest} />;
  return (
    <Glance
      label={texts.talksInYears(summary?.count ?? 0, first, last)}
      bars={years.map(({ year, counts }) => ({ label: year, parts: counts }))}
      tones={KIND_TONES}
      {...rest}
    />
  );
}

function Months({ uid, ...rest }: TalkGlanceProps) {
  const bars = (useTalkBars(uid) ?? []).map(({ label, parts }) => ({ label, parts: [sumOf(parts)] }));
  const sum = sumOf(bars.flatMap(({ parts }) => parts));
  return <Glance label={texts.talksInYear(sum)} bars={bars} tones={['faded']} {...rest} />;
}

interface GlanceProps extends Omit<TalkGlanceProps, 'uid'> {
  readonly label: string;
  readonly bars: readonly { readonly label: string; readonly parts: readonly number[] }[];
  /** Of the parts of a bar, from its foot upwards. */
  readonly tones: readonly (typeof KIND_TONES)[number][];
}

function Glance({ label, bars, tones, isOpen, onPress }: GlanceProps) {
  const colours = useColours();
  const most = Math.max(1, ...bars.map(({ parts }) => sumOf(parts)));
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-expanded={isOpen}
      onPress={onPress}
      className="active:opacity-60"
      testID="talk-chart"
    >
      <View className="h-[48px] flex-row items-end gap-[3px]" aria-hidden>
        {bars.map(({ label: bar, parts }) => (
          <View
            key={bar}
            className="max-w-[36px] flex-1 flex-col-reverse gap-px overflow-hidden rounded-t-[2px]"
          >
            {sumOf(parts) === 0 ? <View className="h-[2px] bg-rule" /> : null}
            {parts.map((count, i) =>
              count === 0 ? null : (
                <View
                  key={tones[i]}
                  style={{
                    height: Math.max(2, (HEIGHT * count) / most),
                    backgroundColor: colours[tones[i] ?? 'faded'],
                  }}
                />
              ),
            )}
          </View>
        ))}
      </View>
      <View
        className="flex-row justify-between"
        aria-hidden
        style={{ maxWidth: Math.max(90, bars.length * 39) }}
      >
        <Txt size="small" tone="faded" isFigures>
          {bars[0]?.label ?? ' '}
        </Txt>
        <Txt size="small" tone="faded" isFigures>
          {bars.at(-1)?.label ?? ' '}
        </Txt>
      </View>
    </Pressable>
  );
}

function sumOf(counts: readonly number[]): number {
  return counts.reduce((sum, count) => sum + count, 0);
}
