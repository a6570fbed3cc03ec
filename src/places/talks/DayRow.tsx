import { createContext, type ReactNode, Suspense, use, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';

import { selectRowsByUid, useAppSelector, usePhoto } from '@/book/state';
import type { Uid } from '@/core/card';
import type { Standing } from '@/core/talks';
import { cardPath, DAY_ROW_ID } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/talks/talks';
import { Act, Stamp, Thread, Txt, useSwipe, useTypeScale } from '@/ui';

/** Which row of the day is open, and whom the pane beside shows. */
export interface OpenRow {
  readonly open: string | undefined;
  readonly chosen: Uid | undefined;
  /** Opens a row, or closes it. */
  readonly toggle: (id: string, uid: Uid) => void;
}

/** Known to every row of the page. */
export const OpenRowContext = createContext<OpenRow>({
  open: undefined,
  chosen: undefined,
  toggle: () => undefined,
});

interface DayRowProps {
  /** Names the row on the page. */
  readonly id: string;
  /** Whom it is about; the first has the portrait. */
  readonly uids: readonly Uid[];
  /** What it is about; the name of the first where nothing is said. */
  readonly title?: string;
  /** Why, and since when; the names of all come before it where it has a title. */
  readonly second: string;
  readonly standing?: Standing | undefined;
  /** What is likeliest to be done, at the end of the row. */
  readonly likely?: ReactNode;
  /** What it opens to. */
  readonly children?: ReactNode;
}

/** Width in px of the widest stamp, so that names stand under each other. */
const STAMP_WIDTH = 36;

/** A line of the day: who, why, since when, and the one likeliest act; pressed, it opens in place. */
export function DayRow({ id, uids, title, second, standing, likely, children }: DayRowProps) {
  const byUid = useAppSelector(selectRowsByUid);
  const people = uids.flatMap((uid) => byUid.get(uid) ?? []);
  const [first] = people;
  const photo = usePhoto(first?.photo, 'row');
  const { open, chosen, toggle } = use(OpenRowContext);
  const line = useRef<HTMLDivElement>(null);
  // To the right it does what is likeliest, which is the press at its end; to the left it opens.
  const [likeliest, setLikeliest] = useState('');
  const { dx, isFar, handlers } = useSwipe((way) => {
    if (way === 1) likelyOf(line.current)?.click();
    else if (first) toggle(id, first.uid);
  });
  const width = STAMP_WIDTH * useTypeScale();
  if (!first) return null;
  const isOpen = open === id;
  const shown = title ?? first.shown;
  const names = title === undefined ? '' : people.map((one) => one.shown).join(', ');
  const says = [names, second].filter(Boolean).join(' · ');
  const isLit = isOpen || chosen === first.uid;
  return (
    <View className={`border-b border-rule ${isLit ? 'bg-leaf' : ''}`} testID="day-row">
      {dx === 0 ? null : (
        <View
          className={`absolute inset-0 flex-row items-center bg-leaf px-5 ${dx > 0 ? '' : 'justify-end'}`}
        >
          <Txt tone={isFar ? 'berry' : 'faded'} font="sansBold" lines={1}>
            {dx > 0 ? likeliest : texts.openInPlace}
          </Txt>
        </View>
      )}
      <div
        ref={line}
        {...handlers}
        onPointerDown={(event) => {
          handlers.onPointerDown(event);
          setLikeliest(likelyOf(event.currentTarget)?.getAttribute('aria-label') ?? '');
        }}
        className={`flex flex-row items-center px-5 wide:px-6 ${dx === 0 ? 'transition-transform duration-150 motion-reduce:transition-none' : 'bg-paper'}`}
        style={{ touchAction: 'pan-y', transform: dx === 0 ? 'none' : `translateX(${dx}px)` }}
      >
        <Pressable
          role="button"
          nativeID={`${DAY_ROW_ID}${id}`}
          aria-expanded={isOpen}
          aria-label={[shown, says].filter(Boolean).join(', ')}
          onPress={() => toggle(id, first.uid)}
          className="min-h-[48px] min-w-0 flex-1 flex-row items-center gap-3 active:opacity-60"
        >
          <View className="items-center" style={{ width }}>
            <Stamp initials={first.initials} isOrg={first.isOrg} photo={photo} size="day" />
          </View>
          <View className="min-w-0 flex-1">
            <Txt font="serif" size="strong" lines={1}>
              {shown}
            </Txt>
            {says === '' ? null : (
              <Txt size="small" tone={standing?.isLate === true ? 'brick' : 'faded'} lines={1}>
                {says}
              </Txt>
            )}
          </View>
          {standing ? <Thread share={standing.share} label={standing.label} width={52} /> : null}
        </Pressable>
        <View className="min-w-[44px]" testID="likely">
          <Suspense fallback={null}>{likely}</Suspense>
        </View>
      </div>
      {isOpen ? (
        <View className="pl-[68px] pr-5" testID="day-row-open">
          <Suspense fallback={null}>{children}</Suspense>
          <View className="flex-row flex-wrap gap-x-5">
            {people.map(({ uid, shown: name }) => (
              <Act
                key={uid}
                label={people.length === 1 ? texts.openCard : name}
                name={texts.openCardOf(name)}
                tone="faded"
                onPress={() => go(cardPath(uid))}
                testID="open-card"
              />
            ))}
          </View>
        </View>
      ) : null}
    </View>
  );
}

/** The act at the end of a row. */
function likelyOf(line: HTMLElement | null): HTMLElement | undefined {
  return (
    line?.querySelector<HTMLElement>('[data-testid="likely"] :is(a, button, [role="button"])') ?? undefined
  );
}
