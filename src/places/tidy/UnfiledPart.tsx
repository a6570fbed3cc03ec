import { useState } from 'react';
import { View } from 'react-native';

import { useAppDispatch } from '@/book/state';
import { addUnfiled, dismissUnfiled, type UnfiledView } from '@/book/talks';
import type { Unfiled } from '@/core/talks';
import { formatDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/tidy/tidy';
import { Act, Eye, Tick, Txt, UserPlus, X } from '@/ui';

/** Addresses shown at once. */
const SHOWN = 60;

/** Addresses written to that have no card: added, one or many, or ignored for good. */
export function UnfiledPart({ unfiled: { open, ignored } }: { readonly unfiled: UnfiledView }) {
  const dispatch = useAppDispatch();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [shown, setShown] = useState(SHOWN);
  const picked = open.filter(({ address }) => chosen.has(address));
  const toggle = (address: string, isOn: boolean) => {
    const next = new Set(chosen);
    if (isOn) next.add(address);
    else next.delete(address);
    setChosen(next);
  };
  const run = (work: (all: readonly Unfiled[]) => void, all: readonly Unfiled[]) => {
    work(all);
    setChosen(new Set());
  };
  const takeIn = (all: readonly Unfiled[]) => run((some) => void dispatch(addUnfiled(some)), all);
  const ignore = (all: readonly Unfiled[]) => run((some) => dispatch(dismissUnfiled(some, true)), all);
  return (
    <View testID="unfiled">
      <Txt font="serif" size="title" heading={2}>
        {texts.unfiled}
      </Txt>
      {open.length === 0 ? (
        <View className="gap-1">
          <Txt font="serifItalic" tone="faded">
            {texts.onceMailHasBeen}
          </Txt>
          <View className="flex-row">
            <Act label={texts.readMailAndCalendars} onPress={() => go('/import/talks')} />
          </View>
        </View>
      ) : (
        <>
          <Txt size="small" tone="faded">
            {texts.addressesWithoutCardThatYou(open.length)}
          </Txt>
          <View className="flex-row flex-wrap gap-x-5">
            <Act
              label={picked.length === open.length ? texts.selectNone : shared.selectAll}
              tone="faded"
              onPress={() =>
                setChosen(new Set(picked.length === open.length ? [] : open.map(({ address }) => address)))
              }
            />
            {picked.length === 0 ? null : (
              <>
                <Act
                  label={texts.addNumbered(picked.length)}
                  icon={UserPlus}
                  onPress={() => takeIn(picked)}
                  testID="take-in-chosen"
                />
                <Act
                  label={texts.ignoreNumbered(picked.length)}
                  icon={X}
                  tone="faded"
                  onPress={() => ignore(picked)}
                />
              </>
            )}
          </View>
          {open.slice(0, shown).map((one) => (
            <Row
              key={one.address}
              unfiled={one}
              isChosen={chosen.has(one.address)}
              onChoose={(isOn) => toggle(one.address, isOn)}
              onTakeIn={() => takeIn([one])}
              onIgnore={() => ignore([one])}
            />
          ))}
          {open.length > shown ? (
            <View className="flex-row">
              <Act
                label={texts.moreCount(open.length - shown)}
                tone="faded"
                onPress={() => setShown(shown + 200)}
              />
            </View>
          ) : null}
        </>
      )}
      <Ignored ignored={ignored} />
    </View>
  );
}

interface RowProps {
  readonly unfiled: Unfiled;
  readonly isChosen: boolean;
  readonly onChoose: (isOn: boolean) => void;
  readonly onTakeIn: () => void;
  readonly onIgnore: () => void;
}

function Row({ unfiled: { name, address, count, last }, isChosen, onChoose, onTakeIn, onIgnore }: RowProps) {
  const shown = name || address;
  return (
    <View className="border-b border-rule" testID="unfiled-row">
      <Tick name={texts.select(shown)} isOn={isChosen} onChange={onChoose} hasLine={false}>
        <Txt font="serif" size="strong">
          {shown}
        </Txt>
        {name === '' ? null : <Txt size="small">{address}</Txt>}
        <Txt size="small" tone="faded" isFigures>
          {texts.messagesLastOn(count, formatDay(`${last}T12:00:00Z`))}
        </Txt>
      </Tick>
      <View className="flex-row gap-x-5 pl-8">
        <Act
          label={texts.add}
          name={texts.createCardFor(shown)}
          icon={UserPlus}
          onPress={onTakeIn}
          testID="take-in"
        />
        <Act
          label={texts.ignore}
          name={texts.ignoreForGood(shown)}
          icon={X}
          tone="faded"
          onPress={onIgnore}
          testID="ignore"
        />
      </View>
    </View>
  );
}

function Ignored({ ignored }: { readonly ignored: readonly Unfiled[] }) {
  const dispatch = useAppDispatch();
  const [isOpen, setOpen] = useState(false);
  if (ignored.length === 0) return null;
  return (
    <View className="pt-3">
      <View className="flex-row">
        <Act
          label={isOpen ? texts.hideIgnored : texts.ignoredCount(ignored.length)}
          icon={Eye}
          tone="faded"
          onPress={() => setOpen(!isOpen)}
          testID="show-ignored"
        />
      </View>
      {isOpen
        ? ignored.map((one) => (
            <View
              key={one.address}
              className="flex-row flex-wrap items-center justify-between gap-x-4 border-b border-rule"
            >
              <Txt>{one.name || one.address}</Txt>
              <Act
                label={texts.restore}
                name={texts.offerAgain(one.name || one.address)}
                onPress={() => dispatch(dismissUnfiled([one], false))}
              />
            </View>
          ))
        : null}
    </View>
  );
}
