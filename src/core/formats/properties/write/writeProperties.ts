import { type Card, diffJson, formatPointer } from '@/core/card';

import type { ContentLine, Params } from '../../contentLines/contentLine';
import { escapeText } from '../../contentLines/text';
import { readProperties } from '../read/readProperties';
import type { VcardVersion } from '../version';
import { writeDetail } from './writeDetail';
import { type PropertySheet, writeEntry } from './writeEntry';
import { writeNaming } from './writeNaming';
import { writeReach } from './writeReach';

/**
 * The properties of a card (RFC 9555 §3), without BEGIN and END.
 *
 * What no property can say is found by reading the result back and comparing: each place that differs is written
 * as a JSPROP (RFC 9555 §3.1), so that nothing is lost whatever the card holds.
 *
 * @param withExtensions - false leaves the JSPROPs out, for readers that make nothing of them
 * @param asRead - the properties as the syntax they are written in gives them back
 */
export function writeProperties(
  card: Card,
  version: VcardVersion,
  withExtensions: boolean,
  asRead: (lines: readonly ContentLine[]) => readonly ContentLine[] = (lines) => lines,
): ContentLine[] {
  const sheet: PropertySheet = { version, lines: [], groups: groupsOf(card), ids: new Map() };
  writeEntry(sheet, 'VERSION', version.id, {}, undefined);
  writeRecord(sheet, card);
  writeNaming(sheet, card);
  writeReach(sheet, card);
  writeDetail(sheet, card);
  writeKept(sheet, card);
  if (withExtensions) writeExtensions(sheet, card, asRead(sheet.lines));
  return sheet.lines;
}

function groupsOf(card: Card): Set<string> {
  const groups = new Set<string>();
  for (const match of JSON.stringify(card).matchAll(/"group":"([^"]+)"/g)) groups.add(match[1] ?? '');
  return groups;
}

/** What the card says of itself as a record. UID is a URI unless told otherwise (RFC 6350 §6.7.6). */
function writeRecord(sheet: PropertySheet, card: Card): void {
  const isUri = /^[a-z][\w+.-]*:/i.test(card.uid);
  const uidParams: Params = isUri || sheet.version.prefersByType ? {} : { VALUE: ['text'] };
  writeEntry(sheet, 'UID', escapeText(card.uid), {}, undefined, uidParams);
  const stamp = (moment: string) => (sheet.version.hasBasicDates ? moment.replace(/[-:]/g, '') : moment);
  const plain = [
    ['KIND', card.kind],
    ['LANGUAGE', card.language],
    ['PRODID', card.prodId],
    ['CREATED', card.created && stamp(card.created)],
    ['REV', card.updated && stamp(card.updated)],
  ] as const;
  for (const [name, value] of plain) if (value) writeEntry(sheet, name, escapeText(value), {}, undefined);
}

/** vCardProps go out as they came in; their values are still in their escapes. */
function writeKept(sheet: PropertySheet, card: Card): void {
  for (const [name, { group, ...params }, type, value] of card.vCardProps ?? []) {
    if (typeof value !== 'string') continue;
    const all = Object.fromEntries(
      Object.entries(params).map(([key, one]) => [key.toUpperCase(), Array.isArray(one) ? one : [one]]),
    );
    const line = {
      name: name.toUpperCase(),
      params: all,
      value: type === 'unknown' ? value : escapeText(value),
      line: 0,
    };
    sheet.lines.push(typeof group === 'string' ? { group, ...line } : line);
  }
}

function writeExtensions(sheet: PropertySheet, card: Card, lines: readonly ContentLine[]): void {
  const { card: back } = readProperties(lines, () => card.uid);
  for (const { path, after } of diffJson(back, card)) {
    const value = escapeText(JSON.stringify(after ?? null));
    writeEntry(sheet, 'JSPROP', value, {}, undefined, { JSPTR: [formatPointer(path)] });
  }
}
