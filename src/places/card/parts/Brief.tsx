import { View } from 'react-native';

import { selectNameStyle, selectSummaries, useAppSelector, usePhoto } from '@/book/state';
import { useListRhythms } from '@/book/talks';
import { daysBetween } from '@/core/base';
import {
  type Card,
  initialsOf,
  nameParts,
  placeOf,
  portraitOf,
  preferredEntry,
  shownAs,
  styledName,
} from '@/core/card';
import { dueOf, formatAgo, rhythmFor, standingOf } from '@/core/talks';
import { localDay } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/parts';
import { Stamp, Thread, Txt, useWide } from '@/ui';

import { BriefLines } from './BriefLines';
import { KIND_WORDS } from './talkWords';

interface BriefProps {
  readonly card: Card;
  /** In a narrow column, whatever the width of the page. */
  readonly isAside?: boolean;
  /** Beside another page, which has its own title. */
  readonly isPane?: boolean;
}

/** The head of a card: who it is and what to know before talking. */
export function Brief({ card, isAside = false, isPane = false }: BriefProps) {
  const { isWide: isWidePage } = useWide();
  const isWide = isWidePage && !isAside && !isPane;
  const media = portraitOf(card)?.[1];
  const stored = usePhoto(media?.blobId);
  const photo = stored ?? (media?.uri?.startsWith('data:image/') ? media.uri : undefined);
  const style = useAppSelector(selectNameStyle);
  const opener = card['cordialis.example:opener'];
  return (
    <View
      className={`bg-leaf ${isWide ? 'flex-row flex-wrap gap-x-10 gap-y-4 px-6 py-5' : `gap-3 py-4 ${isWidePage ? 'px-6' : 'px-5'}`}`}
    >
      <View className="min-w-0 flex-row gap-4">
        <Stamp initials={initialsOf(card)} isOrg={card.kind === 'org'} photo={photo} size="card" />
        <View className="min-w-0 flex-1 justify-center gap-1">
          <Txt
            font="serif"
            size="head"
            {...(isAside ? {} : { heading: isPane ? (2 as const) : (1 as const), testID: 'card-name' })}
          >
            {styledName(card, style) || shared.noNameYet}
          </Txt>
          <Lines card={card} />
          <StandingLine card={card} />
        </View>
      </View>
      {opener === undefined ? null : (
        <View className={isWide ? 'min-w-[240px] flex-1 justify-center' : ''} aria-label={texts.openWith}>
          <Txt font="serifItalic" size="title">
            {opener}
          </Txt>
        </View>
      )}
      {card.kind === 'group' ? null : <BriefLines card={card} isWide={isWide} />}
    </View>
  );
}

/** How the name sounds, what they do, where. */
function Lines({ card }: { readonly card: Card }) {
  const shown = shownAs(card);
  const phonetic = (card.name?.components ?? []).flatMap((component) => component.phonetic ?? []).join(' ');
  const nickname = nameParts(card.name) === '' ? '' : (Object.values(card.nicknames ?? {})[0]?.name ?? '');
  const title = Object.values(card.titles ?? {})[0]?.name ?? '';
  const house = Object.values(card.organizations ?? {})[0]?.name ?? '';
  const work = [title, house === shown ? '' : house].filter(Boolean).join(', ');
  const address = preferredEntry(card.addresses, (entry) => placeOf(entry) !== '');
  const where = [work, address ? placeOf(address) : ''].filter(Boolean).join(' · ');
  const lines = [phonetic, nickname === shown ? '' : nickname, where].filter(Boolean);
  return lines.map((line) => (
    <Txt key={line} tone="faded">
      {line}
    </Txt>
  ));
}

/** How things stand: the last talk, the thread to the next one. */
function StandingLine({ card }: { readonly card: Card }) {
  const summary = useAppSelector((state) => selectSummaries(state).get(card.uid));
  const ofLists = useListRhythms().get(card.uid) ?? [];
  const today = localDay();
  const due = dueOf(card, rhythmFor(card['cordialis.example:rhythm'], ofLists), summary);
  const standing = due && standingOf(due, summary?.last, today);
  if (!summary && !standing) return null;
  const last = summary
    ? `${KIND_WORDS[summary.lastKind]} ${formatAgo(daysBetween(summary.last, today))}`
    : shared.noTalkYet;
  return (
    <View className="flex-row flex-wrap items-center gap-x-3" testID="standing">
      <Txt size="small" tone="faded">
        {last}
      </Txt>
      {standing ? (
        <>
          <Thread share={standing.share} label={standing.label} />
          <Txt size="small" tone={standing.isLate ? 'brick' : 'faded'}>
            {standing.label}
          </Txt>
        </>
      ) : null}
    </View>
  );
}
