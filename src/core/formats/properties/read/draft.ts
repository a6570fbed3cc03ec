import { type Card, type Collection, nextId } from '@/core/card';

import type { ContentLine } from '../../contentLines/contentLine';
import type { Problem } from '../../format/format';

/** A card while its properties are being read. Readers of properties write into it; nobody else has it yet. */
export interface Draft {
  readonly card: Card;
  /** What X-ABLabel says about the properties of a group (RFC 9555 §2.3.3, from memory). */
  readonly labels: ReadonlyMap<string, string>;
  readonly problems: Problem[];
  /** All lines of the card, in their order. */
  readonly lines: readonly ContentLine[];
  /** Ids of addresses by the lines that they were read from. */
  readonly addressOf: Map<ContentLine, string>;
  /** Ids of organisations and titles by the group their lines are in. */
  readonly houses: Map<string, { orgs: string[]; titles: string[] }>;
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

/** Notes that an organisation or a title stands in a group of lines. */
export function addOrganisation(draft: Draft, line: ContentLine, what: 'orgs' | 'titles', id: string): void {
  if (line.group === undefined) return;
  const group = line.group.toLowerCase();
  const known = draft.houses.get(group) ?? { orgs: [], titles: [] };
  known[what].push(id);
  draft.houses.set(group, known);
}

/** RFC 9555 §2.9.4 (from memory): a title in one group with a single organisation is that at this organisation. */
export function settleTitles({ card, houses }: Draft): void {
  for (const { orgs, titles } of houses.values()) {
    const [house, ...others] = orgs;
    if (house === undefined || others.length > 0 || titles.length === 0) continue;
    for (const id of titles) {
      const title = card.titles?.[id];
      if (!title) continue;
      title.organizationId ??= house;
      dropGroup(title);
    }
    dropGroup(card.organizations?.[house]);
  }
}

/** The group has said what it was there for. */
function dropGroup(entry: { vCardParams?: Record<string, string | string[]> } | undefined): void {
  const { group: _, ...rest } = entry?.vCardParams ?? {};
  if (!entry?.vCardParams) return;
  if (Object.keys(rest).length > 0) entry.vCardParams = rest;
  else delete entry.vCardParams;
}
