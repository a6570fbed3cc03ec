import { isSameJson } from '@/core/base';
import { type Card, normalizeAddress } from '@/core/card';
import type { DirectoryEntry } from '@/core/directory';
import { guessColumns, type Problem, readRows, readTable } from '@/core/formats';
import { texts } from '@/texts/directory/hub';

/** What an import would do to the directory. */
export interface DirectoryImport {
  /** New entries. */
  readonly fresh: readonly DirectoryEntry[];
  /** Existing entries that would change, found by mail address. */
  readonly changed: readonly DirectoryEntry[];
  /** How many stay unchanged. */
  readonly same: number;
  /** Faults by line of the file. */
  readonly problems: readonly Pick<Problem, 'line' | 'message'>[];
}

/** The most rows of a table: more would be a mistake or an attempt to fill the disk. */
const MAX_ROWS = 20_000;

/** Reads a table of people (CSV in any dialect); an unusable row doesn't affect the others. */
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
    // Values that the table doesn't have stay.
    const next: Card = { ...entry.card, ...card, uid: entry.card.uid };
    if (isSameCard(next, entry.card)) same += 1;
    else changed.push({ ...entry, card: next });
  }
  const over = cards.length - MAX_ROWS;
  const reported = problems.map(({ line, message }) => ({ line, message }));
  return {
    ...{ fresh, changed, same },
    problems:
      over > 0
        ? [...reported, { line: MAX_ROWS + 2, message: texts.rowsMoreThanCanBeTaken(over) }]
        : reported,
  };
}

function mailsOf({ emails }: Card): string[] {
  return Object.values(emails ?? {}).map(({ address }) => normalizeAddress(address));
}

/** Whether two cards are equal apart from their dates. */
function isSameCard(a: Card, b: Card): boolean {
  const saysOf = ({ created: _, updated: __, prodId: ___, ...rest }: Card) => rest;
  return isSameJson(saysOf(a), saysOf(b));
}
