import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { selectSettings, useAppSelector } from '@/book/state';
import { type MailDraftNow, type PlaceOf, PLACES_OF } from '@/book/write';
import type { Recipient } from '@/core/write';
import { texts } from '@/texts/write/write';
import { Act, Txt } from '@/ui';

import { LeftOut } from './LeftOut';
import { DropPlace, MoveChip } from './moveChip';
import { RecipientSheet } from './RecipientSheet';

/** Chips of a place that are drawn at once. */
const SHOWN = 60;

export const PLACE_WORDS: Readonly<Record<PlaceOf, string>> = {
  to: texts.to,
  cc: texts.cc,
  bcc: texts.bcc,
  off: texts.takenOff,
};

/**
 * Who gets the message, as single chips under To, Cc and Bcc; pressing, dragging or the arrow keys move one, or take
 * it off this message.
 */
export function RecipientsPart({ now }: { readonly now: MailDraftNow }) {
  const { bccFrom } = useAppSelector(selectSettings);
  const { draft, recipients, placeOf, set } = now;
  const [open, setOpen] = useState<Recipient>();
  const { people } = recipients;
  const [isDragging, setDragging] = useState(false);
  const move = (key: string, place: PlaceOf) => set({ places: { ...draft?.places, [key]: place } });
  const all = PLACES_OF.map((place) => ({ place, here: people.filter(({ key }) => placeOf(key) === place) }));
  // While somebody is dragged, empty places come last, so that no drop target moves away under the pointer.
  const places = [
    ...all.filter(({ here }) => here.length > 0),
    ...all.filter(({ here }) => here.length === 0 && isDragging),
  ];
  const seen = people.filter(({ key }) => ['to', 'cc'].includes(placeOf(key))).length;
  return (
    <View className="gap-2">
      {places.map(({ place, here }) => (
        <Chips
          key={place}
          place={place}
          people={here}
          onPress={setOpen}
          onMove={move}
          isDragging={isDragging}
          onDragging={setDragging}
        />
      ))}
      {seen >= bccFrom && draft?.isEach !== true ? (
        <View className="flex-row flex-wrap items-center gap-x-4" role="status">
          <Txt tone="ochre">{texts.peopleWouldSeeEachOthers(seen)}</Txt>
          <Act
            label={texts.moveAllToBcc}
            onPress={() => set({ usual: 'bcc', places: {} })}
            testID="all-bcc"
          />
        </View>
      ) : null}
      <LeftOut title={texts.withoutMailAddress} uids={recipients.unreachable} />
      <LeftOut title={texts.inArchiveSoLeft} uids={recipients.archived} />
      <LeftOut title={texts.notToBeWritten} uids={recipients.unwritten} />
      {open ? <RecipientSheet now={now} recipient={open} onClose={() => setOpen(undefined)} /> : null}
    </View>
  );
}

interface ChipsProps {
  readonly place: PlaceOf;
  readonly people: readonly Recipient[];
  readonly onPress: (recipient: Recipient) => void;
  readonly onMove: (key: string, place: PlaceOf) => void;
  /** Somebody is being dragged: empty places show as drop targets. */
  readonly isDragging: boolean;
  readonly onDragging: (isDragging: boolean) => void;
}

function Chips({ place, people, onPress, onMove, isDragging, onDragging }: ChipsProps) {
  const [isAll, setAll] = useState(false);
  const shown = isAll ? people : people.slice(0, SHOWN);
  return (
    <DropPlace place={place} onMove={onMove}>
      <View
        testID={`place-${place}`}
        role="group"
        aria-label={PLACE_WORDS[place]}
        className={isDragging ? 'min-h-[44px] border-b border-dashed border-rule' : ''}
      >
        <Txt size="small" tone="faded">{`${PLACE_WORDS[place]}: ${people.length}`}</Txt>
        <View className="flex-row flex-wrap gap-x-2">
          {shown.map((recipient) => (
            <MoveChip
              key={recipient.key}
              recipientKey={recipient.key}
              place={place}
              onMove={onMove}
              onDragging={onDragging}
            >
              <Pressable
                role="button"
                aria-label={`${recipient.name === '' ? recipient.address : recipient.name}, ${PLACE_WORDS[place]}, ${recipient.address}`}
                onPress={() => onPress(recipient)}
                className="min-h-[44px] max-w-full justify-center active:opacity-60"
              >
                <View
                  className={`rounded-[4px] border border-rule px-2 py-1 ${place === 'off' ? '' : 'bg-leaf'}`}
                >
                  <Txt
                    lines={1}
                    tone={place === 'off' ? 'faded' : 'ink'}
                    className={place === 'off' ? 'line-through' : ''}
                  >
                    {recipient.name === '' ? recipient.address : recipient.name}
                  </Txt>
                </View>
              </Pressable>
            </MoveChip>
          ))}
          {shown.length < people.length ? (
            <Act
              label={texts.moreCount(people.length - shown.length)}
              tone="faded"
              onPress={() => setAll(true)}
            />
          ) : null}
        </View>
      </View>
    </DropPlace>
  );
}
