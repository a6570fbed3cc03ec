import { selectRow, useAppSelector, usePhoto } from '@/book';
import type { Hit } from '@/core/search';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { ListRow, Stamp } from '@/ui';

interface FoundRowProps {
  readonly hit: Hit;
  readonly id: string;
  readonly isChosen: boolean;
  readonly onOpen: () => void;
}

/** One card that was found, with the value that speaks for it. */
export function FoundRow({ hit, id, isChosen, onOpen }: FoundRowProps) {
  const row = useAppSelector((state) => selectRow(state, hit.uid));
  const photo = usePhoto(row?.photo, 'row');
  if (!row) return null;
  return (
    <ListRow
      role="option"
      nativeID={id}
      title={row.shown}
      second={hit.field === 'name' ? row.second : hit.value}
      stamp={<Stamp initials={row.initials} isOrg={row.isOrg} photo={photo} />}
      isChosen={isChosen}
      onPress={() => {
        onOpen();
        go(cardPath(hit.uid));
      }}
    />
  );
}
