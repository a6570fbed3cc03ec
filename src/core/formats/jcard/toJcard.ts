import type { ContentLine } from '../contentLines/contentLine';
import { readCompound, readTextList, splitValue, unescapeText } from '../contentLines/text';
import { MULTIPLE, STRUCTURED, typeOf } from './valueTypes';

/** A property as RFC 7095 §3.3 has it: name, parameters, type, values. */
export type JcardProperty = [string, Record<string, string | string[]>, string, ...unknown[]];

/** Turns a property of vCard into one of jCard (RFC 7095 §3.3 to §3.5). */
export function toJcard({ group, name, params, value }: ContentLine): JcardProperty {
  const upper = name.toUpperCase();
  const { VALUE, ...rest } = params;
  const type = VALUE?.[0]?.toLowerCase() ?? typeOf(upper);
  const named = Object.entries(rest)
    .filter(([, values]) => values.length > 0)
    .map(([key, values]) => [key.toLowerCase(), values.length === 1 ? (values[0] ?? '') : values] as const);
  const all: Record<string, string | string[]> = Object.fromEntries(named);
  if (group !== undefined) all['group'] = group;
  return [name.toLowerCase(), all, type, ...valuesOf(upper, type, value)];
}

function valuesOf(name: string, type: string, value: string): unknown[] {
  if (type === 'unknown') return [value];
  if (name === 'ORG' || name === 'GENDER') {
    const parts = splitValue(value, ';').map(unescapeText);
    return [parts.length === 1 ? parts[0] : parts];
  }
  if (STRUCTURED.has(name)) {
    return [readCompound(value).map((texts) => (texts.length > 1 ? texts : (texts[0] ?? '')))];
  }
  if (MULTIPLE.has(name)) return readTextList(value);
  return [type === 'text' || type === 'uri' ? unescapeText(value) : extended(value)];
}

/** RFC 7095 §3.5.3 to §3.5.6: dates and times have their hyphens and colons. */
function extended(value: string): string {
  const [date = '', time] = value.split('T', 2);
  const day = date.replace(/^(\d{4})(\d\d)(\d\d)$/, '$1-$2-$3').replace(/^--(\d\d)(\d\d)$/, '--$1-$2');
  if (time === undefined) return day;
  const clock = time.replace(/^(\d\d)(\d\d)(\d\d)?(?=\D|$)/, (_, hour: string, minute: string, second = '') =>
    [hour, minute, second].filter(Boolean).join(':'),
  );
  return `${day}T${clock.replace(/([+-]\d\d)(\d\d)$/, '$1:$2')}`;
}
