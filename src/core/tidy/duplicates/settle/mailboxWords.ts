import { isDesk } from '../facts/desks';

/**
 * The words that a mailbox is made of, as far as it says: `ada.lowther63@` is ada and lowther, `adalowther@` one word. None for
 * a desk's.
 */
export function mailboxWords(mail: string): string[] {
  if (isDesk(mail)) return [];
  const [local = ''] = mail.toLowerCase().split('@');
  return (local.split('+')[0] ?? '')
    .split(/[^a-z]+/)
    .map((word) => word.replace(PARTICLE, ''))
    .filter(Boolean);
}

/** Particles that mailboxes have in one with a surname, and names begin with seldom enough. */
const PARTICLE = /^(?:van(?:der|den|de)?|von(?:der)?|ter|ten)(?=[a-z]{5})/;

/** What a mailbox says beside the words that are known: of `adalowther` lowther beside ada. @returns undefined where it has none of them */
export function besideKnown(
  words: readonly string[],
  known: readonly string[],
): { readonly met: string; readonly rest: readonly string[] } | undefined {
  const [only = ''] = words;
  if (words.length > 1) {
    const all = [...known, known.join('')];
    const met = all.find((word) => words.includes(word));
    return met === undefined ? undefined : { met, rest: words.filter((word) => !all.includes(word)) };
  }
  for (const met of [...known].sort((a, b) => b.length - a.length)) {
    if (met.length < 3 || only.length <= met.length) continue;
    const rest = only.startsWith(met)
      ? only.slice(met.length)
      : only.endsWith(met)
        ? only.slice(0, -met.length)
        : '';
    // An initial and a particle are not a name: tdevries.
    if (rest.length > 3) return { met, rest: known.includes(rest) ? [] : [rest] };
  }
  return undefined;
}
