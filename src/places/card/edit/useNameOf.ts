import { useCardGetter } from '@/book/state';
import { shownAs } from '@/core/card';

/** What another card of the book is called; undefined for one that isn't in it, or has nothing to be called by. */
export function useNameOf(): (uid: string) => string | undefined {
  const getCard = useCardGetter();
  return (uid) => {
    const card = getCard(uid);
    return (card && shownAs(card)) || undefined;
  };
}
