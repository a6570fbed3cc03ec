import { View } from 'react-native';

import { useAppDispatch } from '@/book/state';
import { takeOutOfBundle } from '@/book/tidy';
import { type Card, shownAs, type ValueGroup } from '@/core/card';
import { cardPath, formatDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/card';
import { Act, NameLink, Split, Txt } from '@/ui';

import { ValueRows } from './parts/ValueRows';

interface BundlePartProps {
  /** The card that stands for the others. */
  readonly lead: Card;
  readonly others: readonly Card[];
  readonly groupsOf: (card: Card) => readonly ValueGroup[];
}

/** The other cards of a bundle, each with what those before it don't say, to be opened, edited or taken out. */
export function BundlePart({ lead, others, groupsOf }: BundlePartProps) {
  const dispatch = useAppDispatch();
  const said = new Set(groupsOf(lead).flatMap(linesOf));
  return others.map((other) => {
    const groups = groupsOf(other).flatMap((group): ValueGroup[] => {
      const values = group.values.filter((value) => !said.has(lineOf(group.label, value.lines)));
      return values.length === 0 ? [] : [{ ...group, values }];
    });
    for (const line of groups.flatMap(linesOf)) said.add(line);
    const name = shownAs(other) || shared.noNameYet;
    const path = cardPath(other.uid);
    return (
      <View key={other.uid} className="mt-5 border-t border-rule pt-3" testID="bundled">
        <Txt size="small" tone="faded">
          {other.created === undefined
            ? texts.samePersonOnSeparateCard
            : texts.samePersonOnSeparateCardSince(formatDay(other.created))}
        </Txt>
        <NameLink label={name} href={path} onPress={() => go(path)} font="serif" />
        {groups.length === 0 ? <Txt tone="faded">{texts.itAddsNothing}</Txt> : null}
        <ValueRows card={other} groups={groups} />
        <View className="flex-row">
          <Act
            label={texts.removeItFromBundle}
            name={texts.removeFromBundle(name)}
            icon={Split}
            tone="faded"
            onPress={() => void dispatch(takeOutOfBundle(lead, other))}
            testID="take-out"
          />
        </View>
      </View>
    );
  });
}

/** Said on a card that another stands for. */
export function BundledHint({ lead }: { readonly lead: Card }) {
  const path = cardPath(lead.uid);
  return (
    <View className="mx-5 mt-3 border-l-2 border-rule pl-3" testID="bundled-hint">
      <Txt size="small" tone="faded">
        {texts.partOfBundleShown}
      </Txt>
      <NameLink label={shownAs(lead) || shared.noNameYet} href={path} onPress={() => go(path)} font="serif" />
    </View>
  );
}

function linesOf({ label, values }: ValueGroup): string[] {
  return values.map(({ lines }) => lineOf(label, lines));
}

function lineOf(label: string, lines: readonly string[]): string {
  return `${label} ${lines.join(' ').toLowerCase()}`;
}
