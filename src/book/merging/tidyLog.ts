import { useEffect, useState } from 'react';
import { z } from 'zod';

import { localDay } from '@/platform';

import { useServices } from '../hooks';
import { KEYS } from '../store/keys';
import { parseJson } from '../store/parseJson';

/** How a book stood on a day. */
const stateSchema = z.object({
  /** Cards of people and organisations. */
  cards: z.number().int().min(0),
  /** Those of which nothing was found wrong and that are nobody's second ones. */
  good: z.number().int().min(0),
});
const logSchema = z.record(z.iso.date(), stateSchema);

/** How a book stood on a day. */
export type TidyState = z.infer<typeof stateSchema>;

/** How the book stood on the days on which it was looked through, by the day; what is known now is noted for today. */
export function useTidyLog(now: TidyState | undefined): Readonly<Record<string, TidyState>> {
  const { storage, writer } = useServices();
  const [log, setLog] = useState<Readonly<Record<string, TidyState>>>();
  useEffect(() => {
    void storage.getItem(KEYS.tidyLog).then(
      (text) => setLog(logSchema.safeParse(parseJson(text)).data ?? {}),
      () => setLog({}),
    );
  }, [storage]);
  const [cards, good] = [now?.cards, now?.good];
  useEffect(() => {
    if (!log || cards === undefined || good === undefined) return;
    const today = localDay();
    if (log[today]?.cards === cards && log[today].good === good) return;
    const next = { ...log, [today]: { cards, good } };
    setLog(next);
    writer.put(KEYS.tidyLog, JSON.stringify(next));
  }, [log, cards, good, writer]);
  return log ?? {};
}
