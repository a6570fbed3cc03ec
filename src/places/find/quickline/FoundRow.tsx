import { selectRow, useAppSelector, usePhoto } from '@/book/state';
import { highlightMatches } from '@/core/base';
import type { Hit } from '@/core/find';
import { cardPath, formatKm, listPath } from '@/platform';
import { texts } from '@/texts/find/quickline';
import { ListRow, ListStamp, Stamp } from '@/ui';

interface FoundRowProps {
  readonly hit: Hit;
  /** What was looked for. */
  readonly words: string;
  readonly id: string;
  readonly isChosen: boolean;
  readonly onOpen: () => void;
}

/** One card or list that was found, with the value that matched. */
export function FoundRow({ hit, words, id, isChosen, onOpen }: FoundRowProps) {
  const row = useAppSelector((state) => selectRow(state, hit.uid));
  const photo = usePhoto(row?.photo, 'row');
  const initials = row?.initials ?? [...hit.shown][0] ?? '';
  // Lists and archived cards have no row in the Book.
  const second = hit.kind === 'list' ? texts.list : (row?.second ?? texts.archived);
  return (
    <ListRow
      role="option"
      nativeID={id}
      title={row?.shown ?? hit.shown}
      second={[
        hit.km === undefined ? '' : formatKm(hit.km),
        hit.field === 'name' ? second : hit.field === 'talk' ? texts.said(hit.value) : hit.value,
      ]
        .filter(Boolean)
        .join(' · ')}
      stamp={
        hit.kind === 'list' ? (
          <ListStamp initials={initials} />
        ) : (
          <Stamp initials={initials} isOrg={hit.kind === 'organisation'} photo={photo} />
        )
      }
      isChosen={isChosen}
      mark={(text) => highlightMatches(text, words)}
      onPress={onOpen}
    />
  );
}

/** Where what was found is opened. */
export function pathOf({ kind, uid }: Pick<Hit, 'kind' | 'uid'>): string {
  return kind === 'list' ? listPath(uid) : cardPath(uid);
}
