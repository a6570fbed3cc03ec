import { changeBook } from '@/book/commit';
import { edited } from '@/book/history';
import { useAppDispatch } from '@/book/state';
import { type Card, type CardValue, preferEntry, shownAs } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/card/parts';
import {
  Act,
  Copy,
  ExternalLink,
  type Icon,
  LinkAct,
  Mail,
  MapPin,
  MessageSquare,
  Pencil,
  Phone,
  Sheet,
  Star,
} from '@/ui';

import { useCopy } from './useCopy';

/** What pressing a value of a collection does, in a word. */
const OPENS: Readonly<Record<string, readonly [string, Icon]>> = {
  phones: [texts.call, Phone],
  emails: [texts.write, Mail],
  addresses: [texts.directions, MapPin],
};

interface ValueSheetProps {
  readonly card: Card;
  readonly label: string;
  readonly value: CardValue;
  readonly onClose: () => void;
}

/** Everything that can be done with one value. */
export function ValueSheet({ card, label, value, onClose }: ValueSheetProps) {
  const dispatch = useAppDispatch();
  const copy = useCopy();
  const { preferable, isPreferred } = value;
  const [word, icon] = OPENS[value.collection] ?? [texts.open, ExternalLink];
  const after = (work: () => void) => () => {
    onClose();
    work();
  };
  const prefer = () => {
    if (!preferable) return;
    const text = texts.isNowPreferredFor(value.lines[0] ?? label, shownAs(card));
    void dispatch(
      changeBook({
        cause: 'edit',
        label: text,
        edits: [edited(card.uid, (now) => preferEntry(now, preferable, value.id))],
      }),
    );
  };
  return (
    <Sheet title={value.lines.join(', ')} isOpen onClose={onClose}>
      {value.uri === undefined ? null : <LinkAct label={word} icon={icon} uri={value.uri} />}
      {value.messageUri === undefined ? null : (
        <LinkAct label={texts.message} icon={MessageSquare} uri={value.messageUri} />
      )}
      <Act label={texts.copy} icon={Copy} onPress={after(() => void copy(value.copy))} />
      {preferable && isPreferred !== true ? (
        <Act label={texts.makePreferred} icon={Star} onPress={after(prefer)} />
      ) : null}
      {/* What another program has written has no field here. */}
      {value.collection === 'vCardProps' ? null : (
        <Act
          label={texts.edit}
          icon={Pencil}
          onPress={after(() => go(`${cardPath(card.uid, '/edit')}?at=${value.collection}`))}
        />
      )}
    </Sheet>
  );
}
