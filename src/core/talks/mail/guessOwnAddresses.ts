import { normalizeAddress } from '@/core/card';

import type { MailHead } from './readMailHead';

/** An address in this share of all messages is likely the user's own. Our choice. */
const SHARE = 0.4;

/** The addresses that are likely the user's own: they take part in most messages, as sender or as one written to. */
export function guessOwnAddresses(mails: readonly MailHead[]): string[] {
  const counts = new Map<string, number>();
  for (const { from, to, cc, bcc } of mails) {
    const there = new Set([...from, ...to, ...cc, ...bcc].map(({ address }) => normalizeAddress(address)));
    for (const address of there) counts.set(address, (counts.get(address) ?? 0) + 1);
  }
  return [...counts]
    .filter(([, count]) => count >= SHARE * mails.length && mails.length > 1)
    .sort((a, b) => b[1] - a[1])
    .map(([address]) => address);
}
