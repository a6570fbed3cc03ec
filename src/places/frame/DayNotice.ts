import { useEffect, useState } from 'react';

import { changeSettings } from '@/book/commit';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { dayInWords, useToday } from '@/book/talks';
import { localDay, notify } from '@/platform';
import { texts } from '@/texts/frame/frame';

/** How often to check whether a new day has begun, in milliseconds. */
const LOOK_MS = 60_000;

/**
 * Says once a day, by the browser, what the day asks for; nothing on a day that asks for nothing. Shows nothing
 * itself.
 */
export function DayNotice(): null {
  const dispatch = useAppDispatch();
  const { notifies, notifiedOn } = useAppSelector(selectSettings);
  const today = useDay();
  const plan = useToday(0);
  const words = plan && notifies && notifiedOn !== today ? dayInWords(plan) : undefined;
  useEffect(() => {
    if (words === undefined) return;
    if (words === '' || notify(texts.today, words, 'cordialis-today'))
      dispatch(changeSettings({ notifiedOn: today }));
  }, [dispatch, today, words]);
  return null;
}

/** The day it is, also when the page stays open over midnight. */
function useDay(): string {
  const [day, setDay] = useState(localDay);
  useEffect(() => {
    const timer = setInterval(() => setDay(localDay()), LOOK_MS);
    return () => clearInterval(timer);
  }, []);
  return day;
}
