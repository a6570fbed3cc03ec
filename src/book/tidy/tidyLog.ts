import { useEffect, useMemo, useState } from 'react';
import { z } from 'zod';

import { useServices } from '@/book/state';
import { KEYS, parseJson } from '@/book/store';
import { localDay } from '@/platform';

/** How a book stood on a day. */
const stateSchema = z.object({
  /** Cards of people and organisations. */
  cards: z.number().int().min(0),
  /** Those without faults that are no duplicates. */
  good: z.number().int().min(0),
});
const logSchema = z.record(z.iso.date(), stateSchema);

/** How a book stood on a day. */
export type TidyState = z.infer<typeof stateSchema>;

/** How the book stood on the days on which it was looked through, by the day; what is known now is noted for today. */
export function useTidyLog(now: TidyState | undefined): Readonly<Record<string, TidyState>> {
  const { storage, writer } = useServices();
  const [stored, setStored] = useState<Readonly<Record<string, TidyState>>>();
  useEffect(() => {
    void storage.getItem(KEYS.tidyLog).then(
      (text) => setStored(logSchema.safeParse(parseJson(text)).data ?? {}),
      () => setStored({}),
    );
  }, [storage]);
  const [cards, good] = [now?.cards, now?.good];
  const log = useMemo(
    () => (cards === undefined || good === undefined ? stored : { ...stored, [localDay()]: { cards, good } }),
    [stored, cards, good],
  );
  const isRead = stored !== undefined;
  useEffect(() => {
    if (isRead && log && cards !== undefined) writer.put(KEYS.tidyLog, JSON.stringify(log));
  }, [isRead, log, cards, writer]);
  return log ?? {};
}
