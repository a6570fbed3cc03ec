import { Pressable } from 'react-native';

import { useFoundByName } from '@/book/lists';
import { selectRowsByUid, useAppSelector } from '@/book/state';
import { Txt } from '@/ui';

/** The cards that a text finds, best first, once they have been found; none for those of an earlier text. */
export function useFoundCards(text: string, limit: number): readonly string[] {
  const hits = useFoundByName(text, limit) ?? [];
  return hits.filter(({ kind }) => kind !== 'list').map(({ uid }) => uid);
}

interface FoundCardsProps {
  readonly uids: readonly string[];
  /** What pressing one does, for screen readers: "Link". */
  readonly verb: string;
  readonly onChoose: (uid: string, name: string) => void;
}

/** Cards to choose one of, each as its name and what it is. */
export function FoundCards({ uids, verb, onChoose }: FoundCardsProps) {
  const rows = useAppSelector(selectRowsByUid);
  return uids.map((uid) => {
    const { shown = uid, second = '' } = rows.get(uid) ?? {};
    return (
      <Pressable
        key={uid}
        role="button"
        aria-label={`${verb} ${shown}`}
        onPress={() => onChoose(uid, shown)}
        className="min-h-[44px] justify-center border-b border-rule pl-3 hover:bg-leaf active:bg-leaf"
      >
        <Txt font="serif" size="strong">
          {shown}
        </Txt>
        <Txt size="small" tone="faded">
          {second}
        </Txt>
      </Pressable>
    );
  });
}
