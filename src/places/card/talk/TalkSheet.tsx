import { useCard } from '@/book/state';
import { shownAs, type Uid } from '@/core/card';
import type { PlannedMeeting, Talk, TalkKind } from '@/core/talks';
import { texts } from '@/texts/card/talk';
import { Sheet } from '@/ui';

import { TalkForm } from './TalkForm';

interface TalkSheetProps {
  readonly uid: Uid;
  readonly kind?: TalkKind;
  /** The talk that is changed; undefined for a new one. */
  readonly talk?: Talk;
  /** The appointment that has been kept; it goes once the talk is saved. */
  readonly meeting?: PlannedMeeting;
  readonly onClose: () => void;
}

/** A talk over the page. */
export function TalkSheet({ uid, kind, talk, meeting, onClose }: TalkSheetProps) {
  const card = useCard(uid);
  if (!card) return null;
  const name = shownAs(card) || texts.them;
  return (
    <Sheet title={talk ? texts.talkWith(name) : texts.afterTalkingTo(name)} isOpen onClose={onClose}>
      <TalkForm card={card} kind={kind} talk={talk} meeting={meeting} onDone={onClose} />
    </Sheet>
  );
}
