import { findUpcoming, type UpcomingDay } from '@/core/card';

import { readArgs, readDay } from '../input/readArgs';
import { readCardFile, UnusableInput } from '../input/readCardFile';

/** Days that a window may have at most: some 270 years. */
const MAX_DAYS = 100_000;

/** `upcoming IN --from YYYY-MM-DD --days N`: yearly days from day 0 to day N, nearest first. */
export function upcoming(args: readonly string[]): Omit<UpcomingDay, 'id'>[] {
  const { words, options, usage } = readArgs(args, {
    usage: 'upcoming IN --from YYYY-MM-DD --days N',
    words: 1,
    options: ['from', 'days'],
  });
  if (options.from === undefined || options.days === undefined) throw new UnusableInput(usage);
  const from = readDay(options.from, 'from', usage);
  const days = Number(options.days);
  if (!Number.isInteger(days) || days < 0 || days > MAX_DAYS)
    throw new UnusableInput(`--days "${options.days}": is no number from 0 to ${MAX_DAYS}; ${usage}`);
  // Ids of entries are a file's own affair.
  return findUpcoming(readCardFile(words[0]).cards, { from, days }).map(({ id: _, ...day }) => day);
}
