import { useEffect, useState } from 'react';

import { useServices } from '@/book/state';
import type { Hit } from '@/core/find';
import { localDay } from '@/platform';

/** What somebody was found by, to stand beside their name; '' where it was the name. */
export function foundBy({ field, value }: Hit): string {
  return field === 'name' ? '' : value;
}

/** What a text that is being typed finds; undefined until that is known. @param limit - of cards and lists */
export function useFoundByName(typed: string, limit: number): readonly Hit[] | undefined {
  const { search } = useServices();
  const [found, setFound] = useState<{ text: string; hits: readonly Hit[] }>({ text: '', hits: [] });
  useEffect(() => {
    let isCurrent = true;
    if (typed !== '')
      void search.find(typed, limit, localDay()).then(({ hits }) => {
        if (isCurrent) setFound({ text: typed, hits });
      });
    return () => {
      isCurrent = false;
    };
  }, [search, typed, limit]);
  return typed !== '' && found.text === typed ? found.hits : undefined;
}
