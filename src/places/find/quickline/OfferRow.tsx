import { selectCardsByUid, selectRow, useAppSelector, usePhoto } from '@/book/state';
import { initialsOf } from '@/core/card';
import type { Offer } from '@/core/find';
import { isList } from '@/core/lists';
import { ListRow, ListStamp, Stamp } from '@/ui';

interface OfferRowProps {
  readonly offer: Offer;
  readonly id: string;
  readonly isChosen: boolean;
  readonly onRun: () => void;
}

/** What the line would do, said before it is done. */
export function OfferRow({ offer, id, isChosen, onRun }: OfferRowProps) {
  const row = useAppSelector((state) => selectRow(state, offer.uid));
  const photo = usePhoto(row?.photo, 'row');
  const card = useAppSelector((state) => selectCardsByUid(state).get(offer.uid));
  const fresh = offer.kind === 'new' ? offer.upserts[0] : undefined;
  return (
    <ListRow
      role="option"
      nativeID={id}
      title={offer.label}
      titleLines={3}
      second={offer.detail}
      stamp={
        card && isList(card) ? (
          <ListStamp initials={initialsOf(card)} />
        ) : (
          <Stamp
            initials={row?.initials ?? (fresh ? initialsOf(fresh) : '')}
            isOrg={row?.isOrg === true}
            photo={photo}
          />
        )
      }
      isChosen={isChosen}
      onPress={onRun}
    />
  );
}
