import { type Card, type Collection, nextId } from '../../card';
import type { Problem } from '../../formats/format';
import type { ContentLine } from '../../lines';

/** A card while its properties are being read. Readers of properties write into it; nobody else has it yet. */
export interface Draft {
  readonly card: Card;
  /** What X-ABLabel says about the properties of a group (RFC 9555 §2.3.3, from memory). */
  readonly labels: ReadonlyMap<string, string>;
  readonly problems: Problem[];
}

/** Reads one property into the draft; gives the path it went to, or undefined where it can't be understood. */
export type PropertyReader = (draft: Draft, line: ContentLine) => readonly string[] | undefined;

/** Adds an entry under the id the file gives (PROP-ID, RFC 9554 §4.7), else under the next of its sequence. */
export function addEntry(
  draft: Draft,
  collection: Exclude<Collection, 'pronouns'>,
  line: ContentLine,
  entry: object,
) {
  const entries = (draft.card[collection] ??= {}) as Record<string, object>;
  const wished = line.params['PROP-ID']?.[0];
  const isFree = wished !== undefined && /^[\w-]{1,255}$/.test(wished) && !Object.hasOwn(entries, wished);
  const id = isFree ? wished : nextId(collection, entries);
  entries[id] = entry;
  return [collection, id] as const;
}
