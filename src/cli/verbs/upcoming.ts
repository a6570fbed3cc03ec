import { findUpcoming, type UpcomingDay } from '@/core/card';

import { readCardFile, UnusableInput } from '../input/readCardFile';

const USAGE = 'usage: book upcoming IN --from YYYY-MM-DD --days N';

/** Days that a window may have at most: some 270 years. */
const MAX_DAYS = 100_000;

/** `upcoming IN --from YYYY-MM-DD --days N`: yearly days from day 0 to day N, nearest first. */
export function upcoming(args: readonly string[]): Omit<UpcomingDay, 'id'>[] {
  const from = flag(args, '--from');
  const days = Number(flag(args, '--days'));
  const input = args.find((arg, i) => !arg.startsWith('--') && !args[i - 1]?.startsWith('--'));
  if (input === undefined) throw new UnusableInput(USAGE);
  const isDay = /^\d{4}-\d\d-\d\d$/.test(from) && isoDay(from) === from;
  if (!isDay) throw new UnusableInput(`--from ${from}: is no day such as 2026-11-25; ${USAGE}`);
  if (!Number.isInteger(days) || days < 0 || days > MAX_DAYS)
    throw new UnusableInput(`--days: is no number from 0 to ${MAX_DAYS}; ${USAGE}`);
  // Ids of entries are a file's own affair.
  return findUpcoming(readCardFile(input).cards, { from, days }).map(({ id: _, ...day }) => day);
}

function flag(args: readonly string[], name: string): string {
  const at = args.indexOf(name);
  const value = at === -1 ? undefined : args[at + 1];
  if (value === undefined) throw new UnusableInput(`${name} is missing; ${USAGE}`);
  return value;
}

/** The day as the calendar writes it; another one for 30 February. */
function isoDay(text: string): string {
  const time = Date.parse(`${text}T00:00:00Z`);
  return Number.isNaN(time) ? '' : new Date(time).toISOString().slice(0, 10);
}
