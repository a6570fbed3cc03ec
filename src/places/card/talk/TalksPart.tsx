import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { selectSummaries, useAppSelector, useTalksWith } from '@/book';
import type { Card } from '@/core/card';
import type { Talk } from '@/core/talks';
import { formatCount, formatDay } from '@/platform';
import { Act, NotebookPen, Txt, useColours } from '@/ui';

import { NoteText } from '../NoteText';
import { TalkSheet } from './TalkSheet';
import { DIRECTION_WORDS, KIND_ICONS, KIND_WORDS } from './talkWords';

/** Talks with somebody, the latest first; the first of all says when it began. */
export function TalksPart({ card }: { readonly card: Card }) {
  const { talks, count, more } = useTalksWith(card.uid);
  const first = useAppSelector((state) => selectSummaries(state).get(card.uid))?.first;
  const [open, setOpen] = useState<Talk | 'new'>();
  return (
    <View className="py-4" testID="talks">
      <View className="flex-row items-center justify-between">
        <Txt font="serif" size="title" heading={2}>
          Talks
        </Txt>
        <Act label="Note a talk" icon={NotebookPen} onPress={() => setOpen('new')} testID="note-talk" />
      </View>
      {count === 0 ? (
        <Txt font="serifItalic" tone="faded">
          None yet. After a call or a message from here there is room for two or three lines.
        </Txt>
      ) : (
        <Txt size="small" tone="faded" isFigures testID="talk-count">
          {`${formatCount(count, 'talk', 'talks')}${first === undefined ? '' : `, the first on ${formatDay(`${first}T12:00:00Z`)}`}`}
        </Txt>
      )}
      {talks.map((talk) => (
        <TalkRow key={talk.id} talk={talk} onPress={() => setOpen(talk)} />
      ))}
      {more ? (
        <View className="flex-row">
          <Act label="Further back" onPress={more} />
        </View>
      ) : null}
      {open === undefined ? null : (
        <TalkSheet
          uid={card.uid}
          {...(open === 'new' ? {} : { talk: open })}
          onClose={() => setOpen(undefined)}
        />
      )}
    </View>
  );
}

function TalkRow({ talk, onPress }: { readonly talk: Talk; readonly onPress: () => void }) {
  const colours = useColours();
  const Icon = KIND_ICONS[talk.kind];
  const when = [formatDay(`${talk.day}T12:00:00Z`), talk.time].filter(Boolean).join(', ');
  const head = `${KIND_WORDS[talk.kind]} · ${when}${talk.kind === 'meeting' ? '' : ` · ${DIRECTION_WORDS[talk.direction].toLowerCase()}`}`;
  return (
    <View className="flex-row gap-3 border-b border-rule">
      <View className="pt-3">
        <Icon size={20} strokeWidth={1.75} color={colours.faded} />
      </View>
      <View className="min-w-0 flex-1">
        <Pressable
          role="button"
          aria-label={`Change: ${head}`}
          onPress={onPress}
          className="min-h-[44px] justify-center hover:bg-leaf active:bg-leaf"
        >
          <Txt size="small" tone="faded" isFigures>
            {head}
          </Txt>
        </Pressable>
        {talk.said === '' ? null : (
          <View className="pb-3">
            <NoteText note={talk.said} />
          </View>
        )}
      </View>
    </View>
  );
}
