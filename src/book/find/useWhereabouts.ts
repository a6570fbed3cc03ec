import { useAnswer, useServices } from '@/book/state';
import type { WhereCards } from '@/book/workers';
import type { NamedPoint } from '@/core/find';

/** Where the cards are; undefined until it is known. Follows every change. */
export function useWhereabouts(): WhereCards | undefined {
  const { search } = useServices();
  return useAnswer('where', () => search.locate())?.value;
}

/** A place by its name, or that of a card; null where there is none, undefined until it is known. */
export function usePointOf(name: string): NamedPoint | null | undefined {
  const { search } = useServices();
  const answer = useAnswer(name, async () =>
    name.trim() === '' ? null : ((await search.pointOf(name)) ?? null),
  );
  return answer?.key === name && name.trim() !== '' ? answer.value : undefined;
}
