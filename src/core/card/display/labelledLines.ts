import { formatPartialDate, isRealDate, type PartialDate } from '@/core/base';

import { asHeading, unwrapLabel } from '../label';
import type { Card } from '../schema/types';
import type { CardValue, ValueGroup } from './cardValue';

/** What a line of a vCard is labelled by in its group (RFC 9555 §2.3.3, from memory). */
const LABEL = 'x-ablabel';

type Line = NonNullable<Card['vCardProps']>[number];

/** A line of another program that a person has given a label. */
interface LabelledLine {
  /** Its place among all that are kept. */
  readonly at: number;
  readonly group: string;
  readonly label: string;
  readonly text: string;
}

const groupOf = ([, params]: Line) => {
  const { group } = params as { group?: unknown };
  return typeof group === 'string' ? group.toLowerCase() : undefined;
};

/** Lines that nobody here knows, with the label that stands beside them: further people, days, whatever it is. */
function labelledLines({ vCardProps = [] }: Card): LabelledLine[] {
  const labels = new Map(
    vCardProps.flatMap((line) => {
      const group = groupOf(line);
      const label = unwrapLabel(textOf(line));
      return line[0] === LABEL && group !== undefined && label !== '' ? [[group, label] as const] : [];
    }),
  );
  return vCardProps.flatMap((line, at) => {
    const group = groupOf(line) ?? '';
    const [label, text] = [labels.get(group), textOf(line)];
    return line[0] === LABEL || label === undefined || text === '' ? [] : [{ at, group, label, text }];
  });
}

/** How many of the lines that are kept for other programs stand on the page of the card, their labels counted. */
export function shownLines(card: Card): number {
  const lines = labelledLines(card);
  const groups = new Set(lines.map(({ group }) => group));
  return (
    lines.length +
    (card.vCardProps ?? []).filter((line) => line[0] === LABEL && groups.has(groupOf(line) ?? '')).length
  );
}

/** Labelled lines of other programs, each kind under its label. */
export function linesOfOthers(card: Card, locale: string): ValueGroup[] {
  const groups = new Map<string, CardValue[]>();
  for (const { at, label, text } of labelledLines(card)) {
    const date = dateOf(text);
    const lines = date ? [formatPartialDate(date, locale)] : text.split('\n');
    const values = groups.get(label) ?? [];
    groups.set(label, values);
    values.push({ collection: 'vCardProps', id: String(at), lines, second: '', copy: lines.join('\n') });
  }
  return [...groups].map(([label, values]) => ({ label: asHeading(label), values }));
}

/** The value without its escapes (RFC 6350 §3.4); of one in parts those that say something. */
function textOf([, , , value]: Line): string {
  if (typeof value !== 'string') return '';
  const parts = value
    .split(/(?<!\\);/)
    .map((part) =>
      part.replace(/\\(.)/gs, (_, sign: string) => (sign.toLowerCase() === 'n' ? '\n' : sign)).trim(),
    );
  return parts.filter(Boolean).join(', ');
}

/** RFC 6350 §4.3.1, whole days only, with or without the year. */
function dateOf(text: string): PartialDate | undefined {
  const match = /^(\d{4}|-)-?(\d\d)-?(\d\d)(?:T00:?00.*)?$/.exec(text);
  if (!match) return undefined;
  const [, year, month, day] = match;
  const date = { ...(year === '-' ? {} : { year: Number(year) }), month: Number(month), day: Number(day) };
  return isRealDate(date) ? date : undefined;
}
