import { isSameJson } from '@/core/base';
import { type Card, normalizeAddress } from '@/core/card';
import type { DirectoryEntry } from '@/core/directory';
import { guessColumns, type Problem, readRows, readTable } from '@/core/formats';

/** What a table would do to the directory. */
export interface DirectoryImport {
  /** Those who aren't in it yet. */
  readonly fresh: readonly DirectoryEntry[];
  /** Those who are and would change, found by their mail address. */
  readonly changed: readonly DirectoryEntry[];
  /** How many stay as they are. */
  readonly same: number;
  /** What couldn't be read, by the line of the file. */
  readonly problems: readonly Pick<Problem, 'line' | 'message'>[];
}

/** Rows of a table at most: more would be a mistake, or meant to fill the disk. */
const MAX_ROWS = 20_000;

/** Reads a table of people (CSV in any of its writings); a row that is unusable doesn't spoil the others. */
export function readDirectoryCsv(
  octets: Uint8Array,
  known: readonly DirectoryEntry[],
  { isInside, newUid }: { readonly isInside: boolean; readonly newUid: () => string },
): DirectoryImport {
  const table = readTable(octets);
  const { cards, problems } = readRows(table, guessColumns(table));
  const byMail = new Map(
    known.flatMap((entry) => mailsOf(entry.card).map((mail): [string, DirectoryEntry] => [mail, entry])),
  );
  const fresh: DirectoryEntry[] = [];
  const changed: DirectoryEntry[] = [];
  let same = 0;
  for (const card of cards.slice(0, MAX_ROWS)) {
    const entry = mailsOf(card).flatMap((mail) => byMail.get(mail) ?? [])[0];
    if (!entry) {
      fresh.push({ card: { ...card, uid: newUid() }, isInside, isHidden: false });
      continue;
    }
    // What the table doesn't speak of stays.
    const next: Card = { ...entry.card, ...card, uid: entry.card.uid };
    if (isSameCard(next, entry.card)) same += 1;
    else changed.push({ ...entry, card: next });
  }
  const over = cards.length - MAX_ROWS;
  const told = problems.map(({ line, message }) => ({ line, message }));
  return {
    ...{ fresh, changed, same },
    problems:
      over > 0
        ? [...told, { line: MAX_ROWS + 2, message: `${over} rows more than can be taken at once` }]
        : told,
  };
}

function mailsOf({ emails }: Card): string[] {
  return Object.values(emails ?? {}).map(({ address }) => normalizeAddress(address));
}

/** Whether two cards say the same, whenever they were written. */
function isSameCard(a: Card, b: Card): boolean {
  const saysOf = ({ created: _, updated: __, prodId: ___, ...rest }: Card) => rest;
  return isSameJson(saysOf(a), saysOf(b));
}
