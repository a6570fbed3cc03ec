import { useAnswer, useServices } from '@/book/state';
import type { Hit } from '@/core/find';
import { localDay } from '@/platform';

/** What somebody was found by, to stand beside their name; '' where it was the name. */
export function foundBy({ field, value }: Hit): string {
  return field === 'name' ? '' : value;
}

/** What a text that is being typed finds; undefined until that is known. @param limit - of cards and lists */
export function useFoundByName(typed: string, limit: number): readonly Hit[] | undefined {
  const { search } = useServices();
  const answer = useAnswer(
    typed,
    typed === '' ? undefined : async () => (await search.find(typed, limit, localDay())).hits,
    limit,
  );
  return typed !== '' && answer?.key === typed ? answer.value : undefined;
}
