import { useHub } from '@/book/sync';
import { hasFlag, withFlag } from '@/core/card';
import { comparePath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/card/many';
import { Act, Archive, Download, MailX, Merge, Pencil, Repeat, Server, Sheet, Star, Trash } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';

/** Cards that can be looked at side by side. */
const MOST_MERGED = 12;

/** What else can be done with the selected cards. */
export function MoreSheet({ cards, onSheet, onChange, onGone }: ManySheetProps) {
  const count = nameCards(cards);
  const arePinned = cards.every((card) => hasFlag(card, 'pinned'));
  const areArchived = cards.every((card) => hasFlag(card, 'archived'));
  const canBeOne =
    new Set(cards.map(({ kind = 'individual' }) => kind)).size === 1 && cards[0]?.kind !== 'group';
  const areUnwritten = cards.every((card) => hasFlag(card, 'unwritten'));
  const isPaired = useHub().pairing !== undefined;
  const close = () => onSheet(undefined);
  const leaveOut = () => {
    close();
    void onChange({
      cards,
      label: areUnwritten ? texts.writeToAgain(count) : texts.doNotWriteTo(count),
      change: (card) => withFlag(card, 'unwritten', !areUnwritten),
    });
  };
  const archive = async () => {
    close();
    await onChange({
      cards,
      label: areArchived ? texts.restored(count) : texts.archived(count),
      change: (card) => withFlag(card, 'archived', !areArchived),
    });
    onGone();
  };
  const remove = async () => {
    close();
    await onChange({ cards, label: texts.deleted(count), change: () => undefined, cause: 'delete' });
    onGone();
  };
  const pin = () => {
    close();
    void onChange({
      cards,
      label: arePinned ? texts.unpinned(count) : texts.pinned(count),
      change: (card) => withFlag(card, 'pinned', !arePinned),
    });
  };
  return (
    <Sheet title={texts.with(count)} isOpen onClose={close}>
      <Act label={texts.fillInField} icon={Pencil} onPress={() => onSheet('field')} testID="many-field" />
      <Act
        label={texts.rhythmAndNextTalk}
        icon={Repeat}
        onPress={() => onSheet('rhythm')}
        testID="many-rhythm"
      />
      <Act
        label={texts.exportAsFile}
        icon={Download}
        onPress={() => onSheet('export')}
        testID="many-export"
      />
      {cards.length > 1 && cards.length <= MOST_MERGED && canBeOne ? (
        <Act
          label={texts.mergeIntoOneCard}
          icon={Merge}
          onPress={() => {
            close();
            onGone();
            go(comparePath(cards.map(({ uid }) => uid)));
          }}
          testID="many-merge"
        />
      ) : null}
      <Act
        label={arePinned ? texts.unpin : texts.pinToTopOfBook}
        icon={Star}
        onPress={pin}
        testID="many-pin"
      />
      <Act
        label={areUnwritten ? texts.writeToThemAgain : texts.doNotWriteToThem}
        icon={MailX}
        onPress={leaveOut}
        testID="many-unwritten"
      />
      {isPaired ? (
        <Act
          label={texts.whereItIsStored}
          icon={Server}
          onPress={() => onSheet('sources')}
          testID="many-sources"
        />
      ) : null}
      <Act
        label={areArchived ? texts.restoreFromArchive : texts.archive}
        icon={Archive}
        onPress={() => void archive()}
        testID="many-archive"
      />
      <Act
        label={texts.delete}
        icon={Trash}
        tone="brick"
        onPress={() => void remove()}
        testID="many-delete"
      />
    </Sheet>
  );
}
