import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { selectRowsByUid, selectSummaries, useAppSelector } from '@/book/state';
import { useCloseness, useTalksWith } from '@/book/talks';
import type { Card } from '@/core/card';
import {
  amongTalks,
  closenessReasons,
  type Talk,
  TALK_KINDS,
  type TalkFile,
  type TalkKind,
} from '@/core/talks';
import { cardPath, formatDay, localDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/card/talk';
import { Act, Paperclip, Tabs, Txt, useColours } from '@/ui';

import { NoteText } from '../parts/NoteText';
import { DIRECTION_SAID, KIND_ICONS, KIND_WORDS } from '../parts/talkWords';
import { useFileOut } from '../parts/useFileOut';
import { PostRow, PostsChoice } from './PostsPart';
import { TalkCharts } from './TalkCharts';
import { TalkGlance } from './TalkGlance';
import { TalkSheet } from './TalkSheet';
import { usePosts } from './usePosts';

interface TalksPartProps {
  readonly card: Card;
  /** Cards that it stands for. */
  readonly others?: readonly Card[];
  /** Whether its heading stands over it; not where a tab says the same. */
  readonly isTitled?: boolean;
}

/** Talks with somebody, the latest first; the first of all says when it began. */
export function TalksPart({ card, others = [], isTitled = true }: TalksPartProps) {
  const { talks, count, more } = useTalksWith([card.uid, ...others.map(({ uid }) => uid)]);
  const summary = useAppSelector((state) => selectSummaries(state).get(card.uid));
  const first = summary?.first;
  const closeness = useCloseness(card.uid);
  const [open, setOpen] = useState<Talk>();
  const [isDrawn, setDrawn] = useState(false);
  const [kind, setKind] = useState<TalkKind | 'all'>('all');
  const shown = kind === 'all' ? talks : talks.filter((talk) => talk.kind === kind);
  const posts = usePosts(card);
  const published = kind === 'all' ? (posts.feed?.posts ?? []) : [];
  const lines = amongTalks(shown, published, more === undefined, (at) => localDay(Date.parse(at)));
  const kinds = TALK_KINDS.filter((one) => (summary?.kinds[one] ?? 0) > 0);
  return (
    <View className="gap-1 py-4" testID="talks">
      {isTitled ? (
        <Txt font="serif" size="title" heading={2}>
          {texts.talks}
        </Txt>
      ) : null}
      {count === 0 ? null : <TalkGlance uid={card.uid} isOpen={isDrawn} onPress={() => setDrawn(!isDrawn)} />}
      {isDrawn ? <TalkCharts uid={card.uid} /> : null}
      {count === 0 ? (
        <Txt font="serifItalic" tone="faded">
          {texts.noneYetAfterCall}
        </Txt>
      ) : (
        <Txt size="small" tone="faded" isFigures testID="talk-count">
          {first === undefined
            ? texts.talkCount(count)
            : texts.talksSince(count, formatDay(`${first}T12:00:00Z`))}
        </Txt>
      )}
      {summary ? (
        <Txt size="small" tone="faded" isFigures testID="closeness">
          {texts.closenessOf100(closeness ?? '…', closenessReasons(summary, localDay()).slice(1).join(', '))}
        </Txt>
      ) : null}
      {kinds.length < 2 ? null : (
        <Tabs
          name={texts.kindsOfTalksShown}
          options={[['all', texts.all], ...kinds.map((one) => [one, KIND_WORDS[one]] as const)]}
          value={kind}
          onChange={setKind}
        />
      )}
      {lines.map((line) =>
        line.kind === 'talk' ? (
          <TalkRow key={line.talk.id} talk={line.talk} of={card.uid} onPress={() => setOpen(line.talk)} />
        ) : (
          <PostRow key={line.post.id} post={line.post} />
        ),
      )}
      {more ? (
        <View className="flex-row">
          <Act label={texts.showEarlier} onPress={more} />
        </View>
      ) : null}
      <PostsChoice card={card} posts={posts} />
      {open === undefined ? null : (
        <TalkSheet uid={card.uid} talk={open} onClose={() => setOpen(undefined)} />
      )}
    </View>
  );
}

interface TalkRowProps {
  readonly talk: Talk;
  /** The card whose page this is. */
  readonly of: string;
  readonly onPress: () => void;
}

function TalkRow({ talk, of, onPress }: TalkRowProps) {
  const colours = useColours();
  const Icon = KIND_ICONS[talk.kind];
  const when = [formatDay(`${talk.day}T12:00:00Z`), talk.time].filter(Boolean).join(', ');
  const head = `${KIND_WORDS[talk.kind]} · ${when}${talk.kind === 'meeting' ? '' : ` · ${DIRECTION_SAID[talk.direction]}`}`;
  return (
    <View className="flex-row gap-3 border-b border-rule">
      <View className="pt-3">
        <Icon size={20} strokeWidth={1.75} color={colours.faded} />
      </View>
      <View className="min-w-0 flex-1">
        <Pressable
          role="button"
          aria-label={texts.changeTalk(head)}
          onPress={onPress}
          className="min-h-[44px] justify-center hover:bg-leaf active:bg-leaf"
        >
          <Txt size="small" tone="faded" isFigures>
            {head}
          </Txt>
        </Pressable>
        {talk.about === undefined ? null : (
          <View className="pb-1">
            <Txt font="sansBold">{talk.about}</Txt>
          </View>
        )}
        <Others uids={talk.with.filter((uid) => uid !== of)} />
        {talk.said === '' ? null : (
          <View className="pb-3">
            <NoteText note={talk.said} />
          </View>
        )}
        {talk.files ? <Files files={talk.files} /> : null}
      </View>
    </View>
  );
}

/** Who else was there, each with the way to their card. */
function Others({ uids }: { readonly uids: readonly string[] }) {
  const rows = useAppSelector(selectRowsByUid);
  const people = uids.flatMap((uid) => rows.get(uid) ?? []);
  if (people.length === 0) return null;
  return (
    <View className="flex-row flex-wrap items-center gap-x-3">
      <Txt size="small" tone="faded">
        {texts.with}
      </Txt>
      {people.map(({ uid, shown }) => (
        <Act key={uid} label={shown} tone="faded" onPress={() => go(cardPath(uid))} />
      ))}
    </View>
  );
}

function Files({ files }: { readonly files: readonly TalkFile[] }) {
  const openFile = useFileOut();
  return (
    <View className="flex-row flex-wrap gap-x-4">
      {files.map((file) => (
        <Act
          key={`${file.name} ${file.blobId ?? ''}`}
          label={file.name}
          icon={Paperclip}
          onPress={() => openFile(file)}
        />
      ))}
    </View>
  );
}
